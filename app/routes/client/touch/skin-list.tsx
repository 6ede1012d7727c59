import Button from "@mui/material/Button";
import { useFetcher } from "react-router";
import type { IsoDay } from "~core/days";
import { afterWords, restsUntil, skinPlace, skinWords, type SkinFound } from "~core/findings/skin";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import { useTakeOff } from "~app/ui/use-take-off";

/** "Small red spots" is the name of a line that is about the skin. */
export const skinName = (found: Pick<SkinFound, "place" | "side" | "response">): string =>
  `${skinWords[found.response].replace(/^./, (first) => first.toUpperCase())}, ${skinPlace(found)}`;

/** What the skin did, and what that asks for: what rests first, then what was seen at this visit. */
export function SkinList({ skin, visit, today }: { skin: readonly SkinFound[]; visit: number; today: IsoDay }) {
  const fetcher = useFetcher();
  const takeOff = useTakeOff("skin-");
  const rests = (found: SkinFound) => {
    const until = restsUntil(found);
    return until === null || (until !== undefined && until > today);
  };
  const shown = [...skin].filter((found) => rests(found) || found.visit === visit).reverse();
  if (shown.length === 0) return null;
  const say = (found: SkinFound): string => {
    const until = restsUntil(found);
    if (until === undefined) return "no rest asked";
    if (until === null) return "rests until it is gone, 48 hours at least";
    return until > today ? `gone, rests until ${shortDay(until, today)}` : "gone, may be worked";
  };
  const set = (found: SkinFound, gone: IsoDay | null) =>
    void fetcher.submit({ intent: "skin-gone", id: found.id, gone } as never, {
      method: "post",
      encType: "application/json",
    });
  return (
    <Box component="section" aria-label="Skin" sx={{ mb: 1.5 }}>
      <Typography variant="h3" component="h3" sx={{ mb: 0.5 }}>
        Skin
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0, fontSize: 14.5 }}>
        {shown.map((found) => (
          <Box component="li" key={found.id} sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap" }}>
            <Box sx={(t) => ({ flex: "1 1 240px", color: rests(found) ? t.tokens.amber : "inherit" })}>
              <strong>{skinName(found)}</strong>, after {afterWords[found.after]}, visit {found.visit} ({say(found)})
            </Box>
            {restsUntil(found) !== undefined && (
              <Button
                size="small"
                variant="outlined"
                aria-label={`${found.gone === null ? "Gone" : "Still there"}: ${skinName(found)}`}
                onClick={() => set(found, found.gone === null ? today : null)}
              >
                {found.gone === null ? "It is gone" : "It is still there"}
              </Button>
            )}
            <Button
              size="small"
              color="inherit"
              aria-label={`Take ${skinName(found)} off the list`}
              onClick={() => takeOff(found.id, skinName(found))}
            >
              Remove
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
