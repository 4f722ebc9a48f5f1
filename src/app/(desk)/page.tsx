import { Register } from "@/features/register/Register";
import type { RegisterAsked } from "@/server/contract";
import { Refusal } from "@/server/refusal";
import { readRegisterAsked, registerPage } from "@/server/register";
import { serverStore } from "@/server/store";
import { houseSettings } from "../house";

type Props = { searchParams: Promise<Record<string, string | string[] | undefined>> };

export default async function RegisterPage({ searchParams }: Props) {
  const asked = askedBy(await searchParams);
  const store = await serverStore();
  const { settings } = await houseSettings();
  return (
    <Register
      page={await registerPage(store, asked)}
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
