import { yupResolver } from "@hookform/resolvers/yup";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useEffect, type ReactNode } from "react";
import { Controller, useFieldArray, useForm, type Path } from "react-hook-form";
import { useFetcher } from "react-router";
import { regions } from "~core/anatomy/regions";
import type { FieldErrors } from "~app/validation";
import { builds } from "~core/anatomy/shape";
import { clientSchema, mostFurther, type ClientForm } from "./client-form";
import Box from "@mui/material/Box";
import { WhenReady } from "~app/ui/when-ready";

const regionChoices = [
  <MenuItem key="none" value="">
    Nowhere in particular
  </MenuItem>,
  ...regions.map((region) => (
    <MenuItem key={region.key} value={region.key}>
      {region.name}
    </MenuItem>
  )),
];

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
  const { control, handleSubmit, setError, getValues, setValue } = useForm<ClientForm>({
    defaultValues: initial,
    resolver: yupResolver(clientSchema),
  });
  const errors = fetcher.data?.errors;
  useEffect(() => {
    for (const [field, message] of Object.entries(errors ?? {})) setError(field as Path<ClientForm>, { message });
  }, [errors, setError]);

  const { fields, append, remove, update } = useFieldArray({ control, name: "furtherComplaints" });
  /** One place up; from the top of the further ones it changes places with the first complaint. */
  const up = (i: number) => {
    const further = getValues("furtherComplaints");
    const mine = further[i]!;
    if (i > 0) {
      update(i, { ...further[i - 1]! });
      update(i - 1, { ...mine });
      return;
    }
    update(0, { words: getValues("complaint"), region: getValues("complaintRegion") });
    setValue("complaint", mine.words);
    setValue("complaintRegion", mine.region);
  };

  const field = (
    name: Exclude<Path<ClientForm>, "furtherComplaints" | `furtherComplaints.${number}`>,
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
          {field(
            "build",
            "Build",
            { select: true, helperText: "Shapes the figure, and nothing else." },
            builds.map((each) => (
              <MenuItem key={each} value={each}>
                {each}
              </MenuItem>
            )),
          )}
        </Box>
        {field("complaint", "What they come for, in their words", { multiline: true, minRows: 2 })}
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr" }, columnGap: 2, rowGap: 0.5 }}>
          {field(
            "complaintRegion",
            "Where it is",
            { select: true, helperText: "Gets some work every session." },
            regionChoices,
          )}
          {field("pressureCeiling", "Pressure up to (1–10)", {
            type: "number",
            helperText: "As the client reports it: 3–4 relaxed, 5 the usual ceiling.",
          })}
        </Box>
        {fields.map(({ id }, i) => (
          <Box
            key={id}
            role="group"
            aria-label={`Complaint ${i + 2}`}
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "1fr", sm: "minmax(0, 1fr) 200px auto" },
              columnGap: 1.5,
              alignItems: "start",
              mt: 1,
            }}
          >
            {field(`furtherComplaints.${i}.words`, `What else, ${i + 2}`)}
            {field(`furtherComplaints.${i}.region`, "Where", { select: true }, regionChoices)}
            <Box sx={{ display: "flex" }}>
              <Button color="inherit" onClick={() => up(i)} aria-label={`Move complaint ${i + 2} up`}>
                Up
              </Button>
              <Button color="inherit" onClick={() => remove(i)} aria-label={`Take complaint ${i + 2} out`}>
                Take out
              </Button>
            </Box>
          </Box>
        ))}
        {fields.length < mostFurther && (
          <Button color="inherit" sx={{ color: "text.secondary" }} onClick={() => append({ words: "", region: null })}>
            They come for something else, too
          </Button>
        )}
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
