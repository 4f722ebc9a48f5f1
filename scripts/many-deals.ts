// Fills a data folder with made-up deals, to see how the register fares with very many.
import { sql } from "drizzle-orm";
import { CORE_VERSION } from "@/core";
import type { Database } from "@/data/database";
import { openDatabase } from "@/data/embedded/open-folder";
import type { LoanFile } from "@/exchange/kinds/loan";
import { searchText } from "@/exchange/text";
import { figuresOf } from "@/server/figures/figures-of";

const GIVEN = ["Idris", "Maren", "Odalys", "Jorun", "Tamsin", "Benedikt", "Cosima", "Wilmot", "Zoë", "Ansel"];
const FAMILY = [
  "Vantongeren",
  "Oakhollow",
  "Castellane",
  "Wherry",
  "Saltroe",
  "Fenwright",
  "Carrow",
  "Quarles",
];
const VEHICLES = [
  "Larkmoor 240 campervan",
  "Ostrel U2 utility van",
  "Ostrel Tandem boat trailer",
  "Pennywhistle Duo cargo bike",
];
const PRICES = 60;

const inputsOf = (k: number): LoanFile => ({
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: `${9000 + 731 * k}.00`, down: { percent: "10" } },
  plan: { kind: "loan", yearlyRate: "6.49", payments: 36 + 12 * (k % 5), frequency: "monthly" },
  find: "payment",
});

/** An array of texts as PostgreSQL writes it. */
const texts = (list: readonly string[]) =>
  sql`${`{${list.map(text => JSON.stringify(text)).join(",")}}`}::text[]`;

/** Fills a folder with so many deals, made in the database by a few statements; their figures are the core's own. */
export async function fillWithDeals(folder: string, count: number): Promise<void> {
  const { database, close } = await openDatabase(folder);
  await fillDatabase(database, count);
  await close();
}

/** The same for a database, such as one of a server. */
export async function fillDatabase(database: Database, count: number): Promise<void> {
  const made = Array.from({ length: PRICES }, (_, k) => ({ inputs: inputsOf(k), ...figuresOf(inputsOf(k)) }));
  const minor = (list: (number | null)[]) => sql`${`{${list.join(",")}}`}::bigint[]`;
  const [payments, amounts] = [made.map(each => each.payment), made.map(each => each.amountFinanced)];
  await database.transaction(async tx => {
    await tx.execute(sql`create temporary table made on commit drop as
      select k, (${texts(GIVEN)})[1 + k % ${GIVEN.length}::int] || ' ' || (${texts(FAMILY)})[1 + k / 7 % ${FAMILY.length}::int] || ' ' || k as customer,
        (${texts(VEHICLES)})[1 + k % ${VEHICLES.length}::int] || ', stock ' || 10000 + k as vehicle,
        (array['quoting','quoting','agreed','agreed','lost'])[1 + k % 5] as status,
        timestamptz '2026-11-20' - k * interval '11 minutes' as changed_at,
        gen_random_uuid() as id, 1 + k % ${PRICES}::int as price
      from generate_series(1, ${count}::int) k`);
    await tx.execute(sql`insert into customers (name) select customer from made`);
    await tx.execute(sql`insert into vehicles (description) select vehicle from made`);
    await tx.execute(sql`insert into deals (id, customer_id, vehicle_id, status, chosen, changed_at)
      select made.id, customers.id, vehicles.id, made.status, made.id, made.changed_at
      from made join customers on name = customer join vehicles on description = vehicle`);
    await tx.execute(sql`insert into options (id, deal_id, inputs)
      select id, id, (${texts(made.map(({ inputs }) => JSON.stringify(inputs)))})[price]::jsonb from made`);
    await tx.execute(sql`insert into register_lines (deal_id, deal_version, customer, vehicle, status, changed_at,
        customer_key, vehicle_key, heading_text, figures_text, currency, payment, amount_financed, paid, made_by)
      select id, 1, customer, vehicle, status, changed_at, lower(customer), lower(vehicle),
        lower(customer) || ' ' || lower(vehicle) || ' ' || status,
        to_char((${minor(payments)})[price] / 100.0, 'FM9999990.00') || ' ' || to_char((${minor(amounts)})[price] / 100.0, 'FM9999990.00'),
        'USD', (${minor(payments)})[price], (${minor(amounts)})[price], 'monthly', ${CORE_VERSION} from made`);
    // Accents are left out of what is searched and sorted.
    await tx.execute(sql`update register_lines set customer_key = replace(customer_key, 'zoë', ${searchText("zoë")}),
      heading_text = replace(heading_text, 'zoë', ${searchText("zoë")}) where customer like 'Zoë%'`);
  });
}
