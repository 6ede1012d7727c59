import type { ReactNode } from "react";
import { Box, Typography } from "~app/ui/box";

/** A place's page: heading, what can be done, and the content under a hairline. */
export function Page({
  title,
  note,
  actions,
  children,
}: {
  title: string;
  note?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
}) {
  return (
    <div className="page">
      <div className="page-head">
        <div>
          <h1>{title}</h1>
          {note && <p>{note}</p>}
        </div>
        {actions}
      </div>
      {children}
    </div>
  );
}

/** What a list says when there is nothing in it, and what to do about that. */
export function Empty({ title, children, action }: { title: string; children: ReactNode; action?: ReactNode }) {
  return (
    <Box sx={(t) => ({ border: `1px dashed ${t.tokens.line}`, borderRadius: "10px", p: 4, maxWidth: 560 })}>
      <Typography variant="h2">{title}</Typography>
      <Typography sx={{ color: "text.secondary", mt: 1, mb: action ? 2.5 : 0 }}>{children}</Typography>
      {action}
    </Box>
  );
}
