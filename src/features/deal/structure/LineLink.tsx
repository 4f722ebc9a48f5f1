import type { ComponentProps } from "react";
import { useLinkOrder } from "../parts/line-links";

/** Something that can be done with a line, in words below its name. */
export function LineLink(props: Pick<ComponentProps<"button">, "children" | "onClick">) {
  return (
    <button
      type="button"
      {...useLinkOrder()}
      className="cursor-pointer text-primary underline decoration-dotted underline-offset-2"
      {...props}
    />
  );
}
