// Saves one deal in a loop and says each save once it is acknowledged, until it is killed.
import { openDatabase } from "@/data/database";
import { deals } from "@/data/schema";
import { storeOf } from "@/data/store";
import { headingOf } from "@/exchange/deal-document";
import { numberedDeal } from "./numbered-deal";

const say = (line: object) => process.stdout.write(`${JSON.stringify(line)}\n`);
const { database, sync } = await openDatabase(process.argv[2] ?? "");
const store = storeOf(database, sync);
const [listed] = await database.select({ id: deals.id }).from(deals).limit(1);
const known = listed && (await store.getDeal(listed.id));
const id = known?.id ?? (await store.insertDeals([numberedDeal(1)]))[0] ?? "";
const deal = await store.getDeal(id);
if (!deal) throw new Error("The deal is gone.");
say({
  opened: deal.version,
  customer: deal.document.customer,
  price: deal.document.options[0]?.inputs.structure.price,
});
for (let version = deal.version; ; version++) {
  const document = numberedDeal(version + 1);
  const saved = await store.updateDeal(id, version, {
    heading: headingOf(document),
    options: document.options,
  });
  if (!saved) throw new Error(`Version ${version} could not be saved.`);
  say({ acknowledged: version + 1 });
}
