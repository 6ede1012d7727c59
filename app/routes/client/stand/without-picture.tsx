import Button from "@mui/material/Button";
import type { ReactNode } from "react";
import { Link, useFetcher } from "react-router";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

/** A view that has no picture: what consent says, what is measured by hand, and the read-outs beside. */
export function WithoutPicture({
  clientId,
  ordinal,
  mayPicture,
  unseen,
  children,
  readOuts,
}: {
  clientId: string;
  ordinal: number;
  /** Whether photographs were agreed to; undefined while nobody asked. */
  mayPicture: boolean | undefined;
  /** How many pictures from before consent was withdrawn are still there. */
  unseen: number;
  children: ReactNode;
  readOuts: ReactNode;
}) {
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", lg: "minmax(0,490px) minmax(0,1fr)" }, gap: 3 }}>
      <Box>
        {mayPicture !== true && (
          <Box
            sx={(t) => ({
              display: "flex",
              gap: 2,
              alignItems: "center",
              mb: 2,
              pl: 1.5,
              borderLeft: `3px solid ${t.tokens.slate}`,
            })}
          >
            <Typography sx={{ flex: 1 }}>
              {mayPicture === undefined
                ? "Photographs were not agreed to yet: no picture is taken."
                : "Photographs were declined: no picture is taken."}{" "}
              Everything can be measured by hand.
            </Typography>
            <Button component={Link} to={`/clients/${clientId}/intake/consent?visit=${ordinal}`} variant="outlined">
              Ask for consent
            </Button>
          </Box>
        )}
        {unseen > 0 && <Unseen count={unseen} />}
        {children}
      </Box>
      <Box>{readOuts}</Box>
    </Box>
  );
}

/** Pictures taken while consent stood: they are not shown any more, and can be deleted. */
function Unseen({ count }: { count: number }) {
  const fetcher = useFetcher();
  return (
    <Box sx={{ mb: 2 }}>
      <Typography>
        {count === 1 ? "One picture was" : `${count} pictures were`} taken while consent stood. No picture is shown any
        more; what was measured stays.
      </Typography>
      <Button
        variant="outlined"
        sx={{ mt: 1 }}
        disabled={fetcher.state !== "idle"}
        onClick={() => {
          if (window.confirm("Delete these pictures for good? Nothing brings them back. What was measured stays."))
            void fetcher.submit({ intent: "delete-pictures" }, { method: "post", encType: "application/json" });
        }}
      >
        Delete the pictures for good
      </Button>
    </Box>
  );
}
