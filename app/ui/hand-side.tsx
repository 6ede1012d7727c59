import { styled } from "@mui/material/styles";

/**
 * What is used with one hand at the table. Under a finger every target is at least 48 px high and nothing is written smaller
 * than 16 px; under a mouse it stays as dense as the rest.
 */
export const HandSide = styled("div")({
  "@media (pointer: coarse)": {
    "& .MuiButton-root, & .MuiToggleButton-root, & nav button, & .MuiInputBase-root": { minHeight: 48, fontSize: 16 },
    "& nav button small, & nav h3, & .MuiInputBase-input, & .MuiFormHelperText-root, & .MuiInputLabel-root": {
      fontSize: 16,
    },
    "& .MuiInputLabel-shrink": { transform: "translate(14px, -10px) scale(1)" },
    "& fieldset legend": { fontSize: 16 },
  },
});
