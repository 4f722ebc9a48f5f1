// Compiles the schemas into plain code ahead of time, so that nothing compiles them at run time.
import { resolve } from "node:path";
import { Ajv } from "ajv";
import standalone from "ajv/dist/standalone";
import { build } from "esbuild";
import { DealFileSchema } from "@/exchange/deal-file/deal-file.schema";
import { QuestionFileSchema } from "@/exchange/questions/questions.schema";
import {
  ImportRequestSchema,
  NewDealRequestSchema,
  SaveRequestSchema,
} from "@/server/requests/requests.schema";

const CHECKS: Record<string, Record<string, object>> = {
  "src/exchange/checks/compiled.js": { dealFile: DealFileSchema, questionFile: QuestionFileSchema },
  "src/server/requests/compiled.js": {
    saveRequest: SaveRequestSchema,
    newDealRequest: NewDealRequestSchema,
    importRequest: ImportRequestSchema,
  },
};

/** The compiled checks, by path below the project: one module for each layer, one export for each schema. */
export async function compiledChecks(): Promise<Record<string, string>> {
  const written: Record<string, string> = {};
  for (const [path, schemas] of Object.entries(CHECKS)) written[path] = await compiled(schemas);
  return written;
}

async function compiled(schemas: Record<string, object>): Promise<string> {
  const ajv = new Ajv({
    allErrors: false,
    verbose: true,
    strict: true,
    discriminator: true,
    inlineRefs: false,
    code: { source: true, esm: true },
  });
  for (const [name, schema] of Object.entries(schemas)) {
    ajv.addSchema(withShared(schema), name);
  }
  const names = Object.keys(schemas);
  const code = standalone(ajv, Object.fromEntries(names.map(name => [name, name])));
  // What the code takes from the library at run time is put into it.
  const { outputFiles } = await build({
    stdin: { contents: code, resolveDir: resolve("."), loader: "js" },
    bundle: true,
    format: "esm",
    target: "es2023",
    minify: true,
    write: false,
    logLevel: "error",
  });
  return `// Written by npm run schema.\n${outputFiles[0]?.text ?? ""}`;
}

const LEAST_SHARED = 60;

/** A schema whose repeated parts stand once, so that each is compiled once. */
function withShared(schema: object): object {
  const counts = new Map<string, number>();
  const plain = JSON.parse(JSON.stringify(schema), (_, value) => {
    if (isSchema(value)) {
      const text = JSON.stringify(value);
      counts.set(text, (counts.get(text) ?? 0) + 1);
    }
    return value;
  }) as object;
  const shared = new Map<string, string>();
  const replaced = JSON.parse(JSON.stringify(plain), function (key, value) {
    if (key === "" || !isSchema(value) || isBranch(this)) return value;
    const text = JSON.stringify(value);
    if ((counts.get(text) ?? 0) < 2 || text.length < LEAST_SHARED) return value;
    if (!shared.has(text)) shared.set(text, `part${shared.size}`);
    return { $ref: `#/$defs/${shared.get(text)}` };
  }) as object;
  const definitions = [...shared].map(([text, name]) => [name, JSON.parse(text)]);
  return definitions.length > 0 ? { ...replaced, $defs: Object.fromEntries(definitions) } : replaced;
}

function isSchema(value: unknown): value is object {
  if (typeof value !== "object" || value === null || "const" in value) return false;
  return "type" in value || "anyOf" in value;
}

/** The branches of a choice by a word stay where they are, because the word is looked up in them. */
function isBranch(holder: unknown): boolean {
  return Array.isArray(holder);
}
