import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import TextField from "@mui/material/TextField";
import { useRef, useState } from "react";
import { Form, useFetcher } from "react-router";
import { layerKeys, layerName, type LayerKey } from "~core/anatomy/layers";
import { regions, type RegionKey } from "~core/anatomy/regions";
import { templateHints } from "~core/series/check-template";
import { startingTemplate, type Template, type TemplateDefinition, type TemplateSession } from "~core/series/template";
import { usualInterval } from "~core/series/dates";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { TemplateCurve } from "./template-curve";
import { mostSessions } from "./template-form";
import { NotKept } from "./versions";

/** A session before anything is said of it. */
export const fresh = (name: string): TemplateSession => ({ name, ceiling: "DF", territory: {}, intent: "" });

/** Shares of attention that a press goes through. */
const levels: readonly number[] = [0, 0.4, 0.7, 1];
const levelWords: readonly string[] = ["none", "some", "much", "most"];
const levelOf = (share: number): number =>
  levels.map((each, i) => [Math.abs(each - share), i] as const).sort(([a], [b]) => a - b)[0]![1];

/** A template session by session: how deep, where its attention lies, what it is for; what the rules will not let it do is said meanwhile. */
export function Editor({
  start,
  template,
  number,
  retired,
}: {
  start: TemplateDefinition;
  template: Template | undefined;
  number: number;
  retired: boolean;
}) {
  const [name, setName] = useState(start.name);
  const [days, setDays] = useState(String(start.everyDays ?? ""));
  // sessions are told apart while they move
  const [sessions, setSessions] = useState(() => start.sessions.map((session, id) => ({ id, ...session })));
  const next = useRef(start.sessions.length);
  const saver = useFetcher<{ errors?: Record<string, string>; stale?: boolean }>();
  const errors = saver.data?.errors ?? {};
  const busy = saver.state !== "idle";
  const plain = sessions.map(({ id: _, ...session }) => session);
  const definition = { name, everyDays: days, sessions: plain };
  const hints = templateHints({ name, sessions: plain });
  const set = (i: number, change: Partial<TemplateSession>) =>
    setSessions((before) => before.map((each, k) => (k === i ? { ...each, ...change } : each)));
  const swap = (i: number, k: number) =>
    setSessions((before) => {
      const all = [...before];
      [all[i], all[k]] = [all[k]!, all[i]!];
      return all;
    });
  const press = (i: number, region: RegionKey) => {
    const { [region]: share = 0, ...rest } = sessions[i]!.territory;
    const level = levels[(levelOf(share) + 1) % levels.length]!;
    set(i, { territory: level === 0 ? rest : { ...rest, [region]: level } });
  };
  const act = (intent: string) =>
    void saver.submit({ intent, number } as never, { method: "post", encType: "application/json" });
  return (
    <Form
      noValidate
      aria-label="Template"
      onSubmit={(event) => {
        event.preventDefault();
        void saver.submit({ intent: "save", number, definition } as never, {
          method: "post",
          encType: "application/json",
        });
      }}
    >
      <NotKept answer={saver.data} shown={/^(name|everyDays|sessions\[\d+\]\.(name|intent|territory))$/} />
      {retired && (
        <Alert severity="info" sx={{ mb: 2 }}>
          Retired: no new series is made by it. Take it back to change it.
        </Alert>
      )}
      {!retired && (
        <>
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, mb: 2 }}>
            <TextField
              label="Name"
              value={name}
              onChange={(event) => setName(event.target.value)}
              error={Boolean(errors.name)}
              helperText={errors.name}
              sx={{ maxWidth: 520 }}
            />
            <TextField
              type="number"
              label="Days between sessions"
              value={days}
              placeholder={String(usualInterval)}
              onChange={(event) => setDays(event.target.value)}
              error={Boolean(errors.everyDays)}
              helperText={errors.everyDays ?? `Left empty, ${usualInterval}.`}
              slotProps={{ inputLabel: { shrink: true } }}
              sx={{ maxWidth: 200 }}
            />
          </Box>
          <TemplateCurve sessions={definition.sessions} width={Math.max(520, 128 + 90 + 64 * sessions.length)} />
          {hints.length > 0 && (
            <Box role="status" aria-label="Mind" sx={{ my: 1 }}>
              {hints.map((hint) => (
                <Typography key={hint} sx={(t) => ({ color: t.tokens.amber, fontSize: 14 })}>
                  {hint}
                </Typography>
              ))}
            </Box>
          )}
          <Fine sx={{ my: 1 }}>
            Press a territory for some, much, most of a session’s attention, and none again. Minutes follow attention
            when a series is solved.
          </Fine>
          <Box component="ol" sx={{ listStyle: "none", p: 0, m: 0 }}>
            {sessions.map((session, i) => (
              <Box
                component="li"
                key={session.id}
                aria-label={`Session ${i + 1}`}
                sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 1.5 })}
              >
                <Box
                  sx={{
                    display: "grid",
                    gridTemplateColumns: { xs: "1fr 1fr", md: "28px 170px 160px minmax(0, 1fr) auto" },
                    gap: 1.25,
                    alignItems: "start",
                  }}
                >
                  <Typography sx={{ fontWeight: 650, pt: 1, gridColumn: { xs: "1 / -1", md: "auto" } }}>
                    {i + 1}
                  </Typography>
                  <TextField
                    size="small"
                    label="Name of the session"
                    value={session.name}
                    onChange={(event) => set(i, { name: event.target.value })}
                    error={Boolean(errors[`sessions[${i}].name`])}
                    helperText={errors[`sessions[${i}].name`]}
                  />
                  {session.arc ? (
                    <Fine sx={{ pt: 1 }}>light-touch arc, {session.arc}</Fine>
                  ) : (
                    <TextField
                      select
                      size="small"
                      label="As deep as"
                      value={session.ceiling}
                      onChange={(event) => set(i, { ceiling: event.target.value as LayerKey })}
                      slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
                    >
                      {layerKeys.map((key) => (
                        <option key={key} value={key}>
                          {layerName(key).toLowerCase()}
                        </option>
                      ))}
                    </TextField>
                  )}
                  <TextField
                    size="small"
                    label="What it is for"
                    value={session.intent}
                    onChange={(event) => set(i, { intent: event.target.value })}
                    error={Boolean(errors[`sessions[${i}].intent`])}
                    helperText={errors[`sessions[${i}].intent`]}
                    sx={{ gridColumn: { xs: "1 / -1", md: "auto" } }}
                  />
                  <Box sx={{ display: "flex", gap: 0.5 }}>
                    <Button
                      color="inherit"
                      aria-label={`Session ${i + 1} earlier`}
                      disabled={i === 0}
                      onClick={() => swap(i, i - 1)}
                    >
                      ↑
                    </Button>
                    <Button
                      color="inherit"
                      aria-label={`Session ${i + 1} later`}
                      disabled={i === sessions.length - 1}
                      onClick={() => swap(i, i + 1)}
                    >
                      ↓
                    </Button>
                    <Button
                      color="inherit"
                      aria-label={`Take out session ${i + 1}`}
                      disabled={sessions.length === 1}
                      onClick={() => setSessions(sessions.filter((_, k) => k !== i))}
                    >
                      Out
                    </Button>
                  </Box>
                </Box>
                <Box
                  role="group"
                  aria-label={`Territories of session ${i + 1}`}
                  sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 1, alignItems: "center" }}
                >
                  {regions.map(({ key, name: region }) => {
                    const share = session.territory[key] ?? 0;
                    const level = levelOf(share);
                    return (
                      <Box
                        component="button"
                        type="button"
                        key={key}
                        aria-label={`${region}: ${levelWords[level]}`}
                        onClick={() => press(i, key)}
                        sx={(t) => ({
                          font: "inherit",
                          fontSize: 13.5,
                          color: level === 3 ? t.tokens.paper : t.tokens.ink,
                          bgcolor: level === 0 ? "transparent" : `${t.tokens.slate}${["00", "26", "4D", "FF"][level]}`,
                          border: `1px solid ${level === 0 ? t.tokens.line : t.tokens.slate}`,
                          borderRadius: "6px",
                          minHeight: 40,
                          px: 1.25,
                          cursor: "pointer",
                          "&:focus-visible": { outline: `2px solid ${t.tokens.ember}`, outlineOffset: 1 },
                        })}
                      >
                        {region}
                        {level > 0 && ` · ${levelWords[level]}`}
                      </Box>
                    );
                  })}
                  {!session.arc && (
                    <FormControlLabel
                      control={
                        <Checkbox
                          size="small"
                          checked={Boolean(session.light)}
                          onChange={(_, on) =>
                            setSessions((before) =>
                              before.map((each, k) => {
                                if (k !== i) return each;
                                const { light: _light, ...rest } = each;
                                return on ? { ...rest, light: true as const } : rest;
                              }),
                            )
                          }
                        />
                      }
                      label="Light touch"
                      sx={{ ml: 1 }}
                    />
                  )}
                </Box>
                {errors[`sessions[${i}].territory`] && (
                  <Typography role="alert" sx={(t) => ({ color: t.palette.error.main, fontSize: 13.5 })}>
                    {errors[`sessions[${i}].territory`]}
                  </Typography>
                )}
              </Box>
            ))}
          </Box>
        </>
      )}
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", mt: 2 }}>
        {!retired && (
          <>
            <Button type="submit" variant="contained" disabled={busy}>
              {template ? "Save as a new version" : "Save template"}
            </Button>
            <Button
              variant="outlined"
              color="inherit"
              disabled={sessions.length >= mostSessions}
              onClick={() => setSessions([...sessions, { id: next.current++, ...fresh("") }])}
            >
              Add a session
            </Button>
          </>
        )}
        {template && (
          <Button
            variant="outlined"
            color="inherit"
            disabled={busy}
            onClick={() => act(retired ? "take-back" : "retire")}
          >
            {retired ? "Take back" : "Retire"}
          </Button>
        )}
        {template && !retired && template.key !== template.stem && startingTemplate(template.stem) && (
          <Button variant="outlined" color="inherit" disabled={busy} onClick={() => act("as-started")}>
            As it started
          </Button>
        )}
      </Box>
    </Form>
  );
}
