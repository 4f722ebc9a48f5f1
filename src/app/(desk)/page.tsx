import { Register } from "@/features/register/Register";
import type { RegisterAsked } from "@/server/contract";
import { Refusal } from "@/server/refusal";
import { readRegisterAsked, registerPage } from "@/server/register";
import { houseSettings } from "../house";
import { NotShown } from "../not-shown";
import { storeFor, visitor } from "../visit";

type Props = { searchParams: Promise<Record<string, string | string[] | undefined>> };

export default async function RegisterPage({ searchParams }: Props) {
  const asked = askedBy(await searchParams);
  const store = await storeFor("seeDeals");
  if (!store) return <NotShown what="deals" />;
  const { settings } = await houseSettings();
  return (
    <Register
      page={await registerPage(store, asked, (await visitor()).person !== null)}
      asked={asked}
      houseName={settings.houseName}
      usual={settings.newDeal ?? "vehicleLoan"}
    />
  );
}

/** An address that was typed wrong opens the register as it always opens. */
function askedBy(params: Awaited<Props["searchParams"]>): RegisterAsked {
  const texts = Object.entries(params).filter(
    (entry): entry is [string, string] => typeof entry[1] === "string",
  );
  try {
    return readRegisterAsked(new URLSearchParams(texts));
  } catch (error) {
    if (error instanceof Refusal) return readRegisterAsked(new URLSearchParams());
    throw error;
  }
}
