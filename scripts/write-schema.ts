// Generates the schemas of schemas/ from their one source.
import { writeFile } from "node:fs/promises";
import { publishedSchemas } from "@/exchange/published-schemas";

for (const [name, text] of Object.entries(publishedSchemas())) await writeFile(`schemas/${name}`, text);
