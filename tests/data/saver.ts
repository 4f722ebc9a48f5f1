// Saves one deal in a loop and says each save once it is acknowledged, until it is killed.
import { openDatabase } from "@/data/database";
import { getDeal, insertDeals, updateDeal } from "@/data/deals";
import { deals } from "@/data/schema";
import { type DealDocument, documentOf, headingOf } from "@/exchange/deal-document";

const say = (line: object) => process.stdout.write(`${JSON.stringify(line)}\n`);
const OPTION = "11111111-1111-4111-8111-111111111111";
const numbered = (count: number): DealDocument =>
  documentOf(
    { customer: `Customer ${count}`, vehicle: "", status: "quoting" },
    {
      id: OPTION,
      name: "",
      inputs: {
        format: "kellux-deal",
        version: 1,
        currency: "USD",
        structure: { price: `${count}.00` },
        plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 12 },
        find: "payment",
      },
    },
  );

const { database } = await openDatabase(process.argv[2] ?? "");
const [listed] = await database.select({ id: deals.id }).from(deals).limit(1);
const known = listed && (await getDeal(database, listed.id));
const id = known?.id ?? (await insertDeals(database, [numbered(1)]))[0] ?? "";
const deal = await getDeal(database, id);
if (!deal) throw new Error("The deal is gone.");
say({
  opened: deal.version,
  customer: deal.document.customer,
  price: deal.document.options[0]?.inputs.structure.price,
});
for (let version = deal.version; ; version++) {
  const document = numbered(version + 1);
  const saved = await updateDeal(database, id, version, {
    heading: headingOf(document),
    options: document.options,
  });
  if (!saved) throw new Error(`Version ${version} could not be saved.`);
  say({ acknowledged: version + 1 });
}
