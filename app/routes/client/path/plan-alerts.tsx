import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import MuiLink from "@mui/material/Link";
import { Link } from "react-router";
import { sinceInShort, sinceWords, type Since } from "~core/series/since";

/** Words beside a button, one above the other where there is no room. */
export const wide = { mb: 2, flexWrap: "wrap", "& > .MuiAlert-message": { flex: "1 1 240px" } };

/** Nothing may be planned: somebody has to be asked first. */
export function Referred({ refer, clientId }: { refer: readonly string[]; clientId: string }) {
  return (
    <Alert severity="error" sx={{ mb: 2 }}>
      Nothing is planned and no session starts until a clearance is recorded. {refer.join(" ")}{" "}
      <MuiLink component={Link} underline="always" to={`/clients/${clientId}/intake/screening`}>
        Go to screening
      </MuiLink>
    </Alert>
  );
}

/** Sessions that break a caution which came after they were planned. */
export function Broken({
  broken,
  busy,
  solve,
}: {
  broken: readonly { session: number; sentence: string }[];
  busy: boolean;
  solve: () => void;
}) {
  const sessions = [...new Set(broken.map(({ session }) => session + 1))];
  const one = sessions.length === 1;
  return (
    <Alert
      severity="warning"
      sx={wide}
      action={
        <Button color="inherit" sx={{ whiteSpace: "nowrap" }} disabled={busy} onClick={solve}>
          Solve again within the cautions
        </Button>
      }
    >
      {one ? "Session" : "Sessions"} {sessions.join(", ")} {one ? "breaks" : "break"} a caution that was not there when
      the series was solved. They do not start as they are. {broken[0]!.sentence}
      {broken.length > 1 && ` And ${broken.length - 1} more.`}
    </Alert>
  );
}

/** What came since the series was solved, and the press that works it in; nothing where nothing came. */
export function SinceSolved({ since, busy, adapt }: { since: Since; busy: boolean; adapt: () => void }) {
  const short = sinceInShort(since);
  if (short === "") return null;
  return (
    <Alert
      severity="info"
      sx={wide}
      action={
        <Button color="inherit" sx={{ whiteSpace: "nowrap" }} disabled={busy} onClick={adapt}>
          Adapt what is to come
        </Button>
      }
    >
      Since the series was solved: {short}.
      <details>
        <summary>Which</summary>
        {sinceWords(since).map((sentence) => (
          <div key={sentence}>{sentence}</div>
        ))}
      </details>
    </Alert>
  );
}
