// Before the tests: what many of them begin with.
import { bundleCore } from "./bundled-core.mjs";
import { freshData } from "./fresh-data.mjs";

export default function prepare() {
  bundleCore();
  freshData();
}
