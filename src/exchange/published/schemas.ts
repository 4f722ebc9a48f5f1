import { ASIDES_OF_AN_OPTION, ASIDES_OF_THE_DEAL } from "../deal-document/asides.schema";
import { LeaseFileSchema, LoanFileSchema } from "../deal-file/deal-file.schema";
import { ApplicantSchema, DealerFileSchema } from "../dealer/dealer.schema";
import { PlaceMember } from "../place/place.schema";
import { QuestionFileSchema } from "../questions/questions.schema";
import { RatesSchema } from "../rates/rates.schema";
import { SettingsSchema } from "../settings/settings.schema";
import { WholeDealSchema } from "../whole-deal/whole-deal.schema";

const COMMON = "Amounts are decimal strings (numbers are accepted); rates are percent a year.";

/** The JSON Schemas that are published, by file name below `schemas/`. */
export function publishedSchemas(): Record<string, string> {
  return {
    "deal.schema.json": published(
      "Kellux deal file",
      `One way to structure a loan, and what is asked about it. ${COMMON} The figure named by find is left out; ` +
        "plan.payment is given to find another from it, or a figure of the result in from.",
      firstVersion(LoanFileSchema),
    ),
    "lease.schema.json": published(
      "Kellux deal file of a lease",
      `One way to structure a lease, and what is asked about it. ${COMMON} The figure named by find is left out; ` +
        "plan.payment, with tax, is given to find another from it, or a figure of the result in from.",
      firstVersion(LeaseFileSchema),
    ),
    "whole-deal.schema.json": published(
      "Kellux deal file of a whole deal",
      `A deal with its options, each a way to structure it, as in version 1 of the deal file. ${COMMON} Which option ` +
        "is chosen counts from 1.",
      WholeDealSchema,
    ),
    "settings.schema.json": published(
      "Kellux settings",
      `What a house has settled once for its deals. ${COMMON}`,
      SettingsSchema,
    ),
    "rates.schema.json": published(
      "Kellux rates",
      `What lenders offer: programs with their rates, limits and fees. ${COMMON} Terms are in months; what is left out is ` +
        "no limit.",
      RatesSchema,
    ),
    "questions.schema.json": published(
      "Kellux questions",
      `Questions that need no deal. ${COMMON}`,
      QuestionFileSchema,
    ),
  };
}

/** A file of version 1 has at its top what a deal and its option have. */
const firstVersion = (file: { properties: object }) => ({
  ...file,
  properties: {
    ...file.properties,
    ...PlaceMember,
    ...ASIDES_OF_THE_DEAL,
    ...ASIDES_OF_AN_OPTION,
    dealer: DealerFileSchema,
    applicant: ApplicantSchema,
  },
});

function published(title: string, description: string, schema: object): string {
  const $schema = "https://json-schema.org/draft/2020-12/schema";
  const described = { $schema, title, description, ...(JSON.parse(JSON.stringify(schema)) as object) };
  return `${JSON.stringify(described, null, 2)}\n`;
}
