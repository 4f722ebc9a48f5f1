// Compiles the schemas into plain code ahead of time, so that nothing compiles them at run time.
import { resolve } from "node:path";
import { Ajv } from "ajv";
import standalone from "ajv/dist/standalone";
import { build } from "esbuild";
import { FiledAsidesSchema } from "@/exchange/deal-document/asides.schema";
import { LeaseFileSchema, LoanFileSchema } from "@/exchange/deal-file/deal-file.schema";
import { ApplicantSchema, DealerFileSchema } from "@/exchange/dealer/dealer.schema";
import { PlaceSchema } from "@/exchange/place/place.schema";
import { QuestionFileSchema } from "@/exchange/questions/questions.schema";
import { RatesSchema } from "@/exchange/rates/rates.schema";
import { SignedQuoteSchema } from "@/exchange/signed-quote/signed-quote.schema";
import { DealFrameSchema } from "@/exchange/whole-deal/whole-deal.schema";
import { REQUESTS } from "@/server/requests/requests.schema";

const CHECKS: Record<string, Record<string, object>> = {
  "src/exchange/checks/compiled.js": {
    dealFile: LoanFileSchema,
    leaseFile: LeaseFileSchema,
    dealFrame: DealFrameSchema,
    dealerFile: DealerFileSchema,
    applicant: ApplicantSchema,
    asides: FiledAsidesSchema,
    place: PlaceSchema,
    questionFile: QuestionFileSchema,
  },
  "src/exchange/rates/compiled.js": {
    ratesFile: RatesSchema,
  },
  "src/exchange/signed-quote/compiled.js": {
    signedQuote: SignedQuoteSchema,
  },
  "src/server/requests/compiled.js": REQUESTS,
};

/**
 * The compiled checks, by path below the project: one module for each layer, one export for each schema; and their types beside
 * them.
 */
export async function compiledChecks(): Promise<Record<string, string>> {
  const written: Record<string, string> = {};
  for (const [path, schemas] of Object.entries(CHECKS)) {
    written[path] = await compiled(schemas);
    written[path.replace(/js$/, "d.ts")] = typesOf(Object.keys(schemas));
  }
  return written;
}

const typesOf = (names: readonly string[]): string =>
  [
    "// Written by npm run schema.",
    'import type { ValidateFunction } from "ajv";',
    "",
    ...names.map(name => `export const ${name}: ValidateFunction;`),
    "",
  ].join("\n");

async function compiled(schemas: Record<string, object>): Promise<string> {
  const ajv = new Ajv({
    allErrors: false,
    verbose: true,
    strict: true,
    discriminator: true,
    inlineRefs: false,
    unicodeRegExp: false,
    code: { source: true, esm: true },
  });
  for (const [name, schema] of Object.entries(schemas)) {
    ajv.addSchema(withParts(schema), name);
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

const SMALLEST_PART = 120;

/**
 * A schema with its larger parts by themselves, so that each becomes a function of its own: what repeats is compiled
 * once, and no function is too long for the engine to optimize.
 */
function withParts(schema: object): object {
  const parts = new Map<string, string>();
  const named = JSON.parse(JSON.stringify(schema), function (this: unknown, key: string, value: unknown) {
    // Who may see it is nothing to check.
    if (key === "forCustomers") return undefined;
    if (key === "" || !isPart(value) || Array.isArray(this)) return value;
    const text = JSON.stringify(value);
    if (text.length < SMALLEST_PART) return value;
    const name = parts.get(text) ?? `part${parts.size}`;
    parts.set(text, name);
    return { $ref: `#/$defs/${name}` };
  }) as object;
  const definitions = [...parts].map(([text, name]) => [name, JSON.parse(text)]);
  return definitions.length > 0 ? { ...named, $defs: Object.fromEntries(definitions) } : named;
}

/** Words stay where they are, because a choice by a word looks them up. */
function isPart(value: unknown): value is object {
  if (typeof value !== "object" || value === null || "const" in value) return false;
  return "type" in value || "anyOf" in value;
}
