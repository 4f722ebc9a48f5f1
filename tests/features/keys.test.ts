import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

/** Waits for a side that is open, in no component. */
const NO_COMPONENT = join("src", "features", "dealer-side", "keep-side.ts");

// An effect after the paint hears a key too late that is pressed as soon as something is there.
test("keys are heard by useKeys alone, which is there with what they are for", () => {
  const hear = readdirSync("src/features", { recursive: true, encoding: "utf8" })
    .filter(path => /\.tsx?$/.test(path))
    .map(path => join("src/features", path))
    .filter(path => /addEventListener\("key/.test(readFileSync(path, "utf8")));
  expect(hear.sort()).toEqual([NO_COMPONENT, join("src", "features", "focus", "use-keys.ts")]);
});
