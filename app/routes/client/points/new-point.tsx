import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useEffect, useMemo, useState } from "react";
import { useFetcher } from "react-router";
import { placeOf, placesIn } from "~core/anatomy/places";
import { readPlace } from "~core/anatomy/read-place";
import { structureOf } from "~core/anatomy/structures";
import { readLine } from "~core/findings/read-line";
import type { Moment } from "~core/findings/restriction";
import { referralWords, type TriggerPoint } from "~core/findings/trigger-point";
import { sideFor } from "~app/routes/client/touch/finding";
import { findingName } from "~core/findings/finding-name";
import { StructuresHere } from "~app/routes/client/touch/structures-here";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { DrawnLine } from "~app/ui/draw-on-figure";
import type { FieldErrors } from "~app/validation";
import { Tender } from "./tender";

/** A new point: where it lies, in which structure, where else it is felt, how tender. Everything can be typed, too. */
export function NewPoint({
  at,
  area,
  again,
  visit,
  moment,
  points,
  done,
}: {
  at: DrawnLine | undefined;
  area: DrawnLine | undefined;
  /** The point is to be pressed anew. */
  again: () => void;
  visit: { id: string; ordinal: number };
  moment: Moment;
  points: readonly TriggerPoint[];
  done: () => void;
}) {
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors; unsent?: boolean }>();
  const [id] = useState(() => crypto.randomUUID());
  const [typed, setTyped] = useState("");
  const [felt, setFelt] = useState("");
  const [picked, setPicked] = useState<string | undefined>();
  const [tenderness, setTenderness] = useState<number | undefined>();
  const { data } = fetcher;
  useEffect(() => {
    if (data?.ok) done();
  }, [data, done]);
  const read = useMemo(() => readLine(typed, []), [typed]);
  const own = structureOf(picked ?? (typed.trim() ? (read.structures[0]?.key ?? "") : ""));
  const side = own && sideFor(own, picked ? at?.side : (read.side ?? at?.side));
  const named = felt.split(/[,;]| and /).flatMap((words) => {
    const place = words.trim() ? readPlace(words) : undefined;
    if (!place) return [];
    return (place.places.length > 0 ? place.places : placesIn(place.region)).map((key) => {
      const on =
        place.side === "L" || place.side === "R" ? place.side : at?.side === "L" || at?.side === "R" ? at.side : null;
      return { place: key, side: placeOf(key).midline ? null : on };
    });
  });
  const referral = [...(area?.over ?? []), ...named];
  const known = own && points.find((each) => each.structure === own.key && each.side === side);
  const errors = data?.errors && Object.values(data.errors).join(" ");
  return (
    <Box
      component="form"
      noValidate
      aria-label="New trigger point"
      onSubmit={(event) => {
        event.preventDefault();
        const body = {
          intent: "add",
          id,
          visitId: visit.id,
          moment,
          structure: own?.key ?? "",
          side: side ?? "both",
          at: at ? { view: at.view, point: at.points[0] } : null,
          area: area ? { view: area.view, points: area.points } : null,
          referral,
          reproduced: null,
          ...(tenderness === undefined ? {} : { tenderness }),
        };
        void fetcher.submit(body as never, { method: "post", encType: "application/json" });
      }}
      sx={(t) => ({
        border: `1px solid ${t.tokens.line}`,
        bgcolor: "background.paper",
        borderRadius: "10px",
        p: 2,
        mb: 2,
        display: "grid",
        gridTemplateColumns: "minmax(0, 1fr)",
        gap: 1.5,
      })}
    >
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 1 }}>
        <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
          {own && side ? findingName({ structure: own.key, side }) : "New trigger point"}
        </Typography>
        {at && (
          <Button size="small" color="inherit" onClick={again}>
            Press it again
          </Button>
        )}
      </Box>
      {known && (
        <Typography sx={(t) => ({ color: t.tokens.amber })}>
          There is a point in it already: press that one again below, unless this is another.
        </Typography>
      )}
      <TextField
        label="In which structure"
        placeholder={at ? "or choose below" : "r upper trapezius, or press it on the figure"}
        value={picked ? (own?.name ?? "") : typed}
        onChange={(event) => {
          setPicked(undefined);
          setTyped(event.target.value);
        }}
        helperText={
          own && side
            ? findingName({ structure: own.key, side })
            : typed.trim()
              ? "not understood yet"
              : "Type its name and side."
        }
        slotProps={{ htmlInput: { autoComplete: "off", autoCapitalize: "none", spellCheck: false } }}
      />
      {at?.places[0] && !own && (
        <StructuresHere
          spot={{ place: at.places[0], side: at.side === "both" ? null : at.side }}
          choose={setPicked}
          close={again}
        />
      )}
      <TextField
        label="Felt elsewhere"
        placeholder={area ? "as drawn, and" : "temple, right side of the neck; or draw it"}
        value={felt}
        onChange={(event) => setFelt(event.target.value)}
        helperText={
          referral.length > 0
            ? referralWords(referral)
            : felt.trim()
              ? "not understood yet"
              : at
                ? "Draw round it on the figure, or name it. Empty: nowhere else."
                : "Empty: nowhere else."
        }
      />
      <Tender name="How tender" value={tenderness} set={setTenderness} />
      {errors && (
        <Typography role="alert" sx={(t) => ({ color: t.tokens.clay })}>
          {errors}
        </Typography>
      )}
      {data?.unsent && (
        <Typography role="alert">Not sent: the network is away. Press again when it is back.</Typography>
      )}
      <Box sx={{ display: "flex", gap: 1.5 }}>
        <Button type="submit" variant="contained" disabled={fetcher.state !== "idle" || !own}>
          Keep it
        </Button>
        <Button color="inherit" onClick={done}>
          Cancel
        </Button>
      </Box>
    </Box>
  );
}
