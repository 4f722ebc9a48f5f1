// npm run schema: writes the published schemas, and the checks that are compiled from the schemas.
import { writeFileSync } from "node:fs";
import { publishedSchemas } from "@/exchange/published/schemas";
import { compiledChecks } from "./compiled-checks";

for (const [name, text] of Object.entries(publishedSchemas())) writeFileSync(`schemas/${name}`, text);
for (const [path, text] of Object.entries(await compiledChecks())) writeFileSync(path, text);
