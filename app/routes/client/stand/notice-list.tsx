import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { noticesOf } from "~core/measure/notices";
import type { PhotoSetup } from "~core/measure/calibration";
import type { MarkedPhoto } from "~core/measure/read-photo";

/** What the picture's own geometry says against how it was taken, with what can be done about it. */
export function NoticeList({ photo, save }: { photo: MarkedPhoto; save: (setup: PhotoSetup) => void }) {
  return noticesOf(photo).map(({ key, says, remedy }) => (
    <Alert
      key={key}
      severity="warning"
      sx={{ my: 1 }}
      action={
        remedy && (
          <Button color="inherit" size="small" onClick={() => save({ ...photo.setup, ...remedy.setup })}>
            {remedy.name}
          </Button>
        )
      }
    >
      {says}
    </Alert>
  ));
}
