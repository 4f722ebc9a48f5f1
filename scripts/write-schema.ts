// npm run schema: writes the published schemas, and the checks that are compiled from the schemas.
import { writeFileSync } from "node:fs";
import { seenOfDeal } from "@/exchange/for-customers/projection";
import { publishedSchemas } from "@/exchange/published/schemas";
import { compiledChecks } from "./compiled-checks";

for (const [name, text] of Object.entries(publishedSchemas())) writeFileSync(`schemas/${name}`, text);
writeFileSync(
  "src/exchange/for-customers/seen.ts",
  `// Written by npm run schema: what customers may see of a deal, by the marks of its schemas.\nexport const SEEN = ${JSON.stringify(seenOfDeal())} as const;\n`,
);
for (const [path, text] of Object.entries(await compiledChecks())) writeFileSync(path, text);
