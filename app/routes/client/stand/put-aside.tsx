import Button from "@mui/material/Button";
import { viewName } from "~core/measure/view";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useNotify } from "~app/ui/notices";
import { fetchSignedIn } from "~app/ui/signed-in";
import type { Photo } from "~data/photos";

/** Pictures that were replaced or taken away: each can come back, or be deleted for good. */
export function PutAside({
  photos,
  standing,
  clientId,
  changed,
}: {
  photos: readonly Photo[];
  /** Pictures that are in use: the one in a picture's place gives way when that is brought back. */
  standing: readonly Photo[];
  clientId: string;
  changed: () => void;
}) {
  const notify = useNotify();
  if (photos.length === 0) return null;
  const send = async (photo: Photo, intent: "restore" | "delete") => {
    const instead = standing.find(
      (each) =>
        each.visitId === photo.visitId &&
        each.moment === photo.moment &&
        each.view === photo.view &&
        each.standing === photo.standing,
    );
    const response = await fetchSignedIn(`/clients/${clientId}/photos/${photo.id}`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ intent, instead: instead?.id ?? null }),
    }).catch(() => undefined);
    if (response?.status === 409) {
      changed();
      return notify("Another picture stands in its place by now: look at it first. Nothing was changed.", {
        severity: "error",
      });
    }
    if (!response?.ok) return notify("That did not reach the server. Nothing was changed.", { severity: "error" });
    changed();
    notify(intent === "delete" ? "The picture is deleted for good, its marks with it." : "The picture is back.");
  };
  return (
    <Box component="details" sx={{ mt: 3 }}>
      <Typography component="summary" sx={{ cursor: "pointer" }}>
        {photos.length === 1 ? "One picture was" : `${photos.length} pictures were`} put aside
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0, display: "flex", flexWrap: "wrap", gap: 2, mt: 1 }}>
        {photos.map((photo) => (
          <Box component="li" key={photo.id} sx={{ width: 150 }}>
            {photo.pictured && (
              <Box
                component="img"
                src={`/clients/${clientId}/photos/${photo.id}?size=thumb`}
                alt=""
                loading="lazy"
                sx={{ height: 150, borderRadius: "6px", display: "block" }}
              />
            )}
            <Typography sx={{ fontSize: 13.5 }}>
              {viewName[photo.view]}, {photo.moment} visit {photo.ordinal}
            </Typography>
            <Button size="small" onClick={() => void send(photo, "restore")}>
              Bring it back
            </Button>
            <Button
              size="small"
              color="inherit"
              sx={{ color: "text.secondary" }}
              onClick={() => {
                if (window.confirm("Delete this picture and its marks for good? Nothing brings it back."))
                  void send(photo, "delete");
              }}
            >
              Delete for good
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
