import { lazy, Suspense, useState } from "react";
import { nameOf } from "@/exchange/deal-document";
import { useDesk } from "../desk/desk-context";
import { asPersonal, asVehicle } from "../fields";
import { useOption } from "../option/option-context";
import { CurrencyOfDeal } from "./CurrencyOfDeal";
import { PlaceOfDeal } from "./PlaceOfDeal";
import { useStructure } from "./use-structure";

// Seldom changed: the screen starts without the code for it.
const LawOfDeal = lazy(() => import("./LawOfDeal").then(({ LawOfDeal: law }) => ({ default: law })));

/** What the deal is about, the way from a vehicle to a personal loan and back, and how its figures are written. */
export function KindOfDeal() {
  const { state } = useDesk();
  const { option, isFrozen } = useOption();
  const { structure, change } = useStructure();
  const [isChoosing, setChoosing] = useState(false);
  if (isFrozen) return null;
  const isPersonal = structure.purpose !== undefined;
  const { vehicle, place } = state.heading;
  const purpose = nameOf(vehicle) || "Personal loan";
  return (
    <p className="mt-1.5 text-faint text-sm">
      {option.desk.isAbout ?? (
        <>
          {isPersonal ? "A personal loan" : "A vehicle"} ·{" "}
          <button
            type="button"
            className="cursor-pointer text-primary underline decoration-dotted underline-offset-2"
            onClick={() => change(now => (isPersonal ? asVehicle(now) : asPersonal(now, purpose)))}
          >
            make it {isPersonal ? "a vehicle" : "a personal loan"}
          </button>
        </>
      )}{" "}
      · <CurrencyOfDeal /> · <PlaceOfDeal /> ·{" "}
      {isChoosing ? (
        <Suspense>
          <LawOfDeal />
        </Suspense>
      ) : (
        <button
          type="button"
          className="cursor-pointer text-primary underline decoration-dotted underline-offset-2"
          onClick={() => setChoosing(true)}
        >
          law: {place ?? "no place’s"}
        </button>
      )}
    </p>
  );
}
