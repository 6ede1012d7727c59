import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { noticesOf } from "~core/measure/notices";
import { unexpectedMarks, unexpectedWords } from "~core/measure/unexpected";
import type { PhotoSetup } from "~core/measure/calibration";
import { takenOver } from "~core/measure/propose";
import type { MarkedPhoto } from "~core/measure/read-photo";

/** What the picture's own geometry says against how it was taken, with what can be done about it. */
export function NoticeList({
  photo,
  earlier,
  save,
}: {
  photo: MarkedPhoto;
  /** The picture that marks may have been taken over from. */
  earlier: { photo: MarkedPhoto; name: string } | undefined;
  save: (setup: PhotoSetup) => void;
}) {
  const copied = earlier && takenOver(photo, earlier.photo);
  const untouched = copied && copied.of > 2 && copied.same.length === copied.of && (
    <Alert severity="warning" sx={{ my: 1 }}>
      All {copied.of} points stand where they were taken over from {earlier.name}: nothing was marked on this picture
      yet, and its readings say nothing new. Move what stands wrong.
    </Alert>
  );
  const seen = noticesOf(photo).map(({ key, says, remedy }) => (
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
  const strange = unexpectedMarks(photo, earlier?.photo).slice(0, 3);
  return (
    <>
      {strange.length > 0 && (
        <Alert severity="warning" sx={{ my: 1 }}>
          {strange.map((each) => unexpectedWords(each, earlier?.name)).join("; ")}. Look again: it may be right.
        </Alert>
      )}
      {untouched}
      {seen}
    </>
  );
}
