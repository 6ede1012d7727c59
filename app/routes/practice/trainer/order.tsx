import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { arcSteps } from "~core/light-touch/arc-steps";
import { seeded } from "~core/random";
import { scoreOrder, shuffledSteps } from "~core/trainer/drills";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { WhenReady } from "~app/ui/when-ready";
import type { Keep } from "./kinds";

const fresh = () => shuffledSteps(seeded(Math.floor(Math.random() * 1e9)));
const nameOf = (key: string) => arcSteps.find((step) => step.key === key)!.name;

/** The steps of the arc to be put in their order, then each with its reason. */
export function Order({ keep }: { keep: Keep }) {
  // another order at every visit to the page; the server's page has one that cannot be pressed yet
  const [order, setOrder] = useState<readonly string[]>(() => shuffledSteps(seeded(1)));
  useEffect(() => setOrder(fresh()), []);
  const [scored, setScored] = useState<ReturnType<typeof scoreOrder>>();
  const move = (i: number, by: number) => {
    const next = [...order];
    [next[i], next[i + by]] = [next[i + by]!, next[i]!];
    setOrder(next);
  };
  return (
    <WhenReady>
      <Typography sx={{ fontSize: 17, mb: 1, maxWidth: 640 }}>
        {scored
          ? `${scored.wrong} of ${scored.of} pairs stand the wrong way round.`
          : "Put the ten steps in the order in which they are worked."}
      </Typography>
      <Box component="ol" sx={{ p: 0, m: 0, listStyle: "none", maxWidth: 640 }}>
        {order.map((key, i) => {
          const place = scored?.places[i];
          return (
            <Box
              component="li"
              key={key}
              sx={(t) => ({
                display: "flex",
                gap: 1,
                alignItems: "center",
                borderTop: `1px solid ${t.tokens.line}`,
                py: 0.5,
              })}
            >
              <Box sx={{ flex: 1 }}>
                <Typography>
                  {i + 1}. {nameOf(key)}
                  {place &&
                    (place.right
                      ? " (in its place)"
                      : ` (belongs at ${arcSteps.findIndex((step) => step.key === key) + 1})`)}
                </Typography>
                {place && <Fine>{place.why}</Fine>}
              </Box>
              {!scored && (
                <>
                  <Button aria-label={`${nameOf(key)}: earlier`} disabled={i === 0} onClick={() => move(i, -1)}>
                    ↑
                  </Button>
                  <Button
                    aria-label={`${nameOf(key)}: later`}
                    disabled={i === order.length - 1}
                    onClick={() => move(i, 1)}
                  >
                    ↓
                  </Button>
                </>
              )}
            </Box>
          );
        })}
      </Box>
      <Button
        variant="contained"
        sx={{ mt: 2 }}
        onClick={() => {
          if (scored) {
            setOrder(fresh());
            setScored(undefined);
            return;
          }
          const result = scoreOrder(order);
          setScored(result);
          keep(result.wrong, { of: result.of });
        }}
      >
        {scored ? "Shuffle again" : "That is the order"}
      </Button>
    </WhenReady>
  );
}
