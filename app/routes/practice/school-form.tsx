import Button from "@mui/material/Button";
import Chip from "@mui/material/Chip";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import TextField from "@mui/material/TextField";
import { useEffect, useState } from "react";
import type { School } from "~core/screening/facts";
import { safetyTagKeys } from "~core/techniques/safety-tags";
import { orderWords, schoolChanges, schoolKinds } from "~core/screening/schools";
import { counted } from "~core/words";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { useNotify } from "~app/ui/notices";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import { WhenReady } from "~app/ui/when-ready";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";

const typedOf = (school: School) => ({
  ...school,
  least: String(school.hold.least),
  most: String(school.hold.most),
});
const asNumber = (typed: string) => (typed.trim() === "" ? (null as never) : Number(typed) || (typed as never));

/** How the practitioner works: what holds for every plan of theirs. A client's own ceiling always wins. */
export function SchoolForm({
  stored,
  out,
}: {
  stored: School;
  /** How many techniques each school to start from leaves out, by its key; `now`: as one works now. */
  out: Readonly<Record<string, number>>;
}) {
  const kept = useKeeper<School>(stored, (next) => ({ ...next }));
  const [school, setSchool] = useState(typedOf(stored));
  const [from, setFrom] = useState("");
  const kind = schoolKinds.find(({ key }) => key === from);
  const changes = kind ? schoolChanges(stored, kind.school) : [];
  const notify = useNotify();
  const { saved, errors } = kept;
  useEffect(() => {
    if (saved) setFrom("");
    if (saved) notify("Saved. Plans heed it from the next time they are solved.");
  }, [saved, notify]);
  const set = (change: Partial<typeof school>) => setSchool((before) => ({ ...before, ...change }));
  const box = (key: "oil" | "wax" | "withoutElbow" | "withoutThumb", label: string) => (
    <FormControlLabel
      control={<Checkbox size="small" checked={school[key]} onChange={(_, on) => set({ [key]: on })} />}
      label={label}
    />
  );
  const error = (name: string) => errors?.[name];
  return (
    <Box
      component="form"
      noValidate
      aria-label="How you work"
      onSubmit={(event) => {
        event.preventDefault();
        const { least, most, ...rest } = school;
        // what is typed may not be a number yet: it is sent as it stands, and the server says so
        kept.keep({ ...rest, hold: { least: asNumber(least), most: asNumber(most) } });
      }}
    >
      <WhenReady>
        <Typography variant="h2">How you work</Typography>
        <Typography sx={{ color: "text.secondary", mb: 2 }}>
          Your school’s limits hold in every plan. A client’s own ceiling always wins.
        </Typography>
        <TextField
          select
          label="Start from a school"
          value={from}
          onChange={(event) => {
            setFrom(event.target.value);
            const kind = schoolKinds.find(({ key }) => key === event.target.value);
            setSchool(typedOf(kind?.school ?? stored));
          }}
          slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
          sx={{ mb: 1.5 }}
        >
          <option value="">as you work now</option>
          {schoolKinds.map(({ key, name }) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </TextField>
        {kind && (
          <Box sx={{ mb: 1.5 }}>
            <Typography>{kind.means}</Typography>
            <Fine>{kind.others}</Fine>
            <Box component="ul" aria-label="What it changes" sx={{ m: 0, mt: 0.5, pl: 2.5 }}>
              {changes.map((each) => (
                <li key={each}>{each}</li>
              ))}
              <li>
                {counted(out[kind.key] ?? 0, "technique")} left out ({out.now ?? 0} now).
              </li>
            </Box>
            <Fine>Nothing changes before you save it; “as you work now” takes it back.</Fine>
          </Box>
        )}
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr 1fr", gap: 1.5 }}>
          <TextField
            select
            label="Pressure up to"
            value={school.pressureCeiling}
            onChange={(event) => set({ pressureCeiling: Number(event.target.value) })}
            slotProps={{ select: { native: true } }}
          >
            {Array.from({ length: 10 }, (_, i) => (
              <option key={i} value={i + 1}>
                {i + 1} of 10
              </option>
            ))}
          </TextField>
          <TextField
            label="Hold from (s)"
            value={school.least}
            onChange={(event) => set({ least: event.target.value })}
            error={Boolean(error("hold.least"))}
            helperText={error("hold.least")}
          />
          <TextField
            label="to (s)"
            value={school.most}
            onChange={(event) => set({ most: event.target.value })}
            error={Boolean(error("hold.most") ?? error("hold"))}
            helperText={error("hold.most") ?? error("hold")}
          />
        </Box>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Direct or indirect"
          value={school.way}
          onChange={(_, way: School["way"] | null) => way && set({ way })}
          sx={{ mt: 1.5 }}
        >
          <ToggleButton value="direct">To the barrier</ToggleButton>
          <ToggleButton value="indirect">Follow ease</ToggleButton>
          <ToggleButton value="both">Both</ToggleButton>
        </ToggleButtonGroup>
        <Box sx={{ mt: 1 }}>
          {box("oil", "I use oil")}
          {box("wax", "I use wax")}
          {box("withoutElbow", "No elbow")}
          {box("withoutThumb", "No thumb")}
        </Box>
        <TextField
          select
          label="The usual order of patterns, in series you begin"
          value={String(school.order)}
          onChange={(event) => set({ order: Number(event.target.value) })}
          slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
          sx={{ mt: 1.5 }}
        >
          {[0, 0.2, 0.5].map((order) => (
            <option key={order} value={order}>
              {orderWords(order)}
            </option>
          ))}
        </TextField>
        <Box role="group" aria-label="Kinds of work you leave out" sx={{ mt: 1.5 }}>
          <Fine>Kinds of work you leave out altogether</Fine>
          <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap", mt: 0.5 }}>
            {safetyTagKeys
              .filter((tag) => tag !== "elbow" && tag !== "thumb")
              .map((tag) => (
                <Chip
                  key={tag}
                  component="button"
                  type="button"
                  clickable
                  label={tag}
                  aria-pressed={school.avoids.includes(tag)}
                  color={school.avoids.includes(tag) ? "primary" : "default"}
                  variant={school.avoids.includes(tag) ? "filled" : "outlined"}
                  onClick={() =>
                    set({
                      avoids: school.avoids.includes(tag)
                        ? school.avoids.filter((other) => other !== tag)
                        : [...school.avoids, tag],
                    })
                  }
                  sx={{ borderRadius: "6px" }}
                />
              ))}
          </Box>
        </Box>
        <Button type="submit" variant="outlined" disabled={kept.busy} sx={{ mt: 1 }}>
          Save how you work
        </Button>
        <Overtaken
          by={{ ...kept, yield: () => (setSchool(typedOf(kept.overtaken?.theirs ?? stored)), kept.yield()) }}
          what="How you work"
          words={(each) =>
            each
              ? `up to ${each.pressureCeiling} of 10, holds ${each.hold.least} to ${each.hold.most} s, ${each.way}`
              : "not told"
          }
        />
      </WhenReady>
    </Box>
  );
}
