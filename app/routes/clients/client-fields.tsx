import { yupResolver } from "@hookform/resolvers/yup";
import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useEffect, type ReactNode } from "react";
import { Controller, useForm, type Path } from "react-hook-form";
import { useFetcher } from "react-router";
import { regions } from "~core/anatomy/regions";
import type { FieldErrors } from "~app/validation";
import { clientSchema, type ClientForm } from "./client-form";
import { WhenReady } from "~app/ui/when-ready";

/** The client's own facts, checked while typing by the schema the action uses. */
export function ClientFields({
  initial,
  extra,
  submit,
  actions,
}: {
  initial: ClientForm;
  extra: Record<string, string | number>;
  submit: string;
  actions?: ReactNode;
}) {
  const fetcher = useFetcher<{ errors?: FieldErrors; conflict?: boolean }>();
  const { control, handleSubmit, setError } = useForm<ClientForm>({
    defaultValues: initial,
    resolver: yupResolver(clientSchema),
  });
  const errors = fetcher.data?.errors;
  useEffect(() => {
    for (const [field, message] of Object.entries(errors ?? {})) setError(field as Path<ClientForm>, { message });
  }, [errors, setError]);

  const field = (
    name: keyof ClientForm,
    label: string,
    props: Partial<Parameters<typeof TextField>[0]> = {},
    children?: ReactNode,
  ) => (
    <Controller
      name={name}
      control={control}
      render={({ field: { value, ref, ...rest }, fieldState }) => (
        <TextField
          {...rest}
          {...props}
          value={value ?? ""}
          inputRef={ref}
          label={label}
          error={Boolean(fieldState.error)}
          helperText={fieldState.error?.message ?? props.helperText ?? " "}
        >
          {children}
        </TextField>
      )}
    />
  );

  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) =>
        void handleSubmit((form) =>
          fetcher.submit({ ...form, ...extra }, { method: "post", encType: "application/json" }),
        )(event)
      }
      sx={{ maxWidth: 680 }}
    >
      <WhenReady>
        {fetcher.data?.conflict && (
          <Alert severity="warning" sx={{ mb: 2 }}>
            Someone changed this client meanwhile. Nothing you typed is lost: open the client in another tab, compare,
            and save there.
          </Alert>
        )}
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr" }, columnGap: 2, rowGap: 0.5 }}>
          {field("name", "Name", { required: true, autoFocus: true })}
          {field("occupation", "Occupation")}
          {field("born", "Date of birth", { type: "date", slotProps: { inputLabel: { shrink: true } } })}
          {field("statureCm", "Stature (cm)", {
            type: "number",
            helperText: "Sets the depth of landmarks; 170 is used when empty.",
          })}
        </Box>
        {field("complaint", "What they come for, in their words", { multiline: true, minRows: 2 })}
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr" }, columnGap: 2, rowGap: 0.5 }}>
          {field("complaintRegion", "Where it is", { select: true, helperText: "Gets some work every session." }, [
            <MenuItem key="none" value="">
              Nowhere in particular
            </MenuItem>,
            ...regions.map((region) => (
              <MenuItem key={region.key} value={region.key}>
                {region.name}
              </MenuItem>
            )),
          ])}
          {field("pressureCeiling", "Pressure up to (1–10)", {
            type: "number",
            helperText: "As the client reports it: 3–4 relaxed, 5 the usual ceiling.",
          })}
        </Box>
        <Box sx={{ display: "flex", gap: 1.5, mt: 2 }}>
          <Button type="submit" variant="contained" disabled={fetcher.state !== "idle"}>
            {submit}
          </Button>
          {actions}
        </Box>
      </WhenReady>
    </Box>
  );
}
