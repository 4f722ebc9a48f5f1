import type { ComponentProps } from "react";
import { SaidField } from "./SaidField";

type Props = Pick<
  ComponentProps<typeof SaidField>,
  "label" | "value" | "onChange" | "trouble" | "hint" | "isFirst"
> & {
  /** A browser offers a new one then, and the one that it keeps otherwise. */
  isNew?: boolean;
};

/** A password, with what is wrong with it where it was typed. */
export const PasswordField = ({ isNew, ...field }: Props) => (
  <SaidField
    {...field}
    type="password"
    maxLength={200}
    autoComplete={isNew ? "new-password" : "current-password"}
  />
);
