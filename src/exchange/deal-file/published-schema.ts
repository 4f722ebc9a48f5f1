import { DealFileSchema } from "./schema";

/** The JSON Schema that is published as `schemas/deal.schema.json`. */
export function publishedSchema(): string {
  const schema = {
    $schema: "https://json-schema.org/draft/2020-12/schema",
    title: "Kellux deal file",
    description:
      "One way to structure a loan. Amounts are decimal strings (numbers are accepted); rates are percent a year. " +
      "The figure named by find is left out; to find the price or the cash down, plan.payment is given.",
    ...(JSON.parse(JSON.stringify(DealFileSchema)) as object),
  };
  return `${JSON.stringify(schema, null, 2)}\n`;
}
