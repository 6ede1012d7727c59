import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import ListSubheader from "@mui/material/ListSubheader";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { structureOf, structures } from "~core/anatomy/structures";
import { historyOf, inOrder, type Restriction } from "~core/findings/restriction";
import { sameSpot } from "./finding";
import { findingName } from "~core/findings/finding-name";

/** Sends something about a line, and says what takes it back. */
export type ActOnLine = (body: Record<string, unknown>, undo: { says: string; body: Record<string, unknown> }) => void;

type About = {
  restriction: Restriction;
  restrictions: readonly Restriction[];
  act: ActOnLine;
};

/** What can be done with a whole line: join it to another, split it, take it off the list. Nothing of it is there until it is opened. */
export function LineMenu({ remove, ...about }: About & { remove: () => void }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [splitting, setSplitting] = useState(false);
  const close = () => setAnchor(null);
  return (
    <>
      <Button
        size="small"
        color="inherit"
        aria-label={`More for ${findingName(about.restriction)}`}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        More
      </Button>
      {anchor && <Choices {...about} anchor={anchor} close={close} remove={remove} split={() => setSplitting(true)} />}
      {splitting && <Split {...about} close={() => setSplitting(false)} />}
    </>
  );
}

const visitsAfterFirst = ({ grades }: Restriction): number[] =>
  [...new Set(inOrder(grades).map(({ visit }) => visit))].slice(1);

function Choices({
  restriction,
  restrictions,
  act,
  anchor,
  close,
  remove,
  split,
}: About & { anchor: HTMLElement; close: () => void; remove: () => void; split: () => void }) {
  const name = findingName(restriction);
  const own = new Set(structureOf(restriction.structure)?.places);
  const others = restrictions.filter(
    (each) =>
      each !== restriction &&
      (each.region === restriction.region || structureOf(each.structure)?.places.some((place) => own.has(place))),
  );
  const choose = (then: () => void) => () => {
    close();
    then();
  };
  return (
    <Menu anchorEl={anchor} open onClose={close}>
      {others.length > 0 && <ListSubheader>It is one line with</ListSubheader>}
      {others.map((each) => (
        <MenuItem
          key={each.id}
          onClick={choose(() =>
            act(
              { intent: "join", id: restriction.id, into: each.id },
              { says: `${name} joined to ${findingName(each)}`, body: { intent: "separate", id: restriction.id } },
            ),
          )}
        >
          {findingName(each)}, {historyOf(each)}
        </MenuItem>
      ))}
      {visitsAfterFirst(restriction).length > 0 && (
        <MenuItem divider onClick={choose(split)}>
          Split it: from a visit on it was another
        </MenuItem>
      )}
      <MenuItem onClick={choose(remove)}>Take it off the list</MenuItem>
    </Menu>
  );
}

function Split({ restriction, restrictions, act, close }: About & { close: () => void }) {
  const visits = visitsAfterFirst(restriction);
  const own = structureOf(restriction.structure);
  const beside = structures.filter(
    (each) =>
      each.key !== restriction.structure &&
      each.places.some((place) => own?.places.includes(place)) &&
      !sameSpot(restrictions, { structure: each.key, side: each.midline ? "both" : restriction.side }),
  );
  const [visit, setVisit] = useState(visits.at(-1)!);
  const [structure, setStructure] = useState("");
  return (
    <Dialog open onClose={close}>
      <DialogTitle>Split {findingName(restriction)}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2, minWidth: { sm: 380 } }}>
        <TextField
          select
          label="From visit"
          value={visit}
          onChange={(event) => setVisit(Number(event.target.value))}
          sx={{ mt: 1 }}
        >
          {visits.map((each) => (
            <MenuItem key={each} value={each}>
              {each}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="It was"
          value={structure}
          onChange={(event) => setStructure(event.target.value)}
          helperText="Structures in the same places that have no line yet."
        >
          {beside.map(({ key, name }) => (
            <MenuItem key={key} value={key}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={close}>
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={structure === ""}
          onClick={() => {
            const chosen = structureOf(structure)!;
            const fresh = {
              id: crypto.randomUUID(),
              structure,
              region: chosen.region,
              layer: chosen.layer,
              side: chosen.midline ? "both" : restriction.side,
            };
            close();
            act(
              { intent: "split", from: restriction.id, visit, ...fresh },
              {
                says: `${findingName(restriction)} split at visit ${visit}`,
                body: { intent: "join", id: fresh.id, into: restriction.id },
              },
            );
          }}
        >
          Split
        </Button>
      </DialogActions>
    </Dialog>
  );
}
