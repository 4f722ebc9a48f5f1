// Generates schemas/deal.schema.json from its one source.
import { writeFile } from "node:fs/promises";
import { publishedSchema } from "@/exchange/deal-file/published-schema";

await writeFile("schemas/deal.schema.json", publishedSchema());
