import type { ReactNode } from "react";
import Box from "@mui/material/Box";
import { styled } from "@mui/material/styles";
import Typography from "@mui/material/Typography";

/** The place a page's content has, beside the rail or above it. */
export const PageSheet = styled("div")(({ theme: { breakpoints } }) => ({
  padding: "20px 24px 48px",
  maxWidth: 1280,
  [breakpoints.down("sm")]: { paddingInline: 16 },
}));
const Head = styled("div")({
  display: "flex",
  flexWrap: "wrap",
  alignItems: "center",
  gap: 16,
  minHeight: 48,
  marginBottom: 16,
});
const Heading = styled("div")({ flex: 1, minWidth: 220 });

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
    <PageSheet>
      <Head>
        <Heading>
          <Typography variant="h1">{title}</Typography>
          {note && <Typography sx={{ color: "text.secondary", mt: 0.5 }}>{note}</Typography>}
        </Heading>
        {actions}
      </Head>
      {children}
    </PageSheet>
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
