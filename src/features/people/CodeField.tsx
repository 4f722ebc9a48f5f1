import type { ComponentProps } from "react";
import { SaidField } from "./SaidField";

type Props = Pick<ComponentProps<typeof SaidField>, "label" | "value" | "onChange" | "trouble" | "hint">;

/** A one-time code: digits, or the letters of a recovery code. */
export const CodeField = (field: Props) => (
  <SaidField {...field} maxLength={40} autoComplete="one-time-code" isFirst />
);
