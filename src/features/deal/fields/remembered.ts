import type { Field } from "./field";

/** Makes each field once: what is drawn again only where it has changed takes the same one for unchanged. */
export function remembered(make: (name: string) => Field | undefined): (name: string) => Field | undefined {
  const made = new Map<string, Field | undefined>();
  return name => {
    if (!made.has(name)) made.set(name, make(name));
    return made.get(name);
  };
}
