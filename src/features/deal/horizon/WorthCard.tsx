import { curveOfHouse } from "@/exchange/keep-for/start";
import { withOptional } from "@/exchange/members";
import { CurveFields } from "@/features/worth/CurveFields";
import { useDesk } from "../desk/desk-context";
import { useNotation } from "../option/option-context";
import { WordSelect } from "../parts/WordSelect";
import { AmountField } from "../repayment/AmountField";
import { CardSection } from "../repayment/CardSection";
import type { Horizon } from "./use-horizon";

/** What the vehicle will be worth: the curve, whose it is, and what distance takes off. */
export function WorthCard({ horizon }: { horizon: Horizon }) {
  const { notation } = useNotation();
  const { house } = useDesk();
  const { file, change, currency, told } = horizon;
  const { value, unit } = file;
  const curves = house.curves ?? [];
  return (
    <CardSection
      title="What it will be worth"
      beside={
        curves.length > 0 && (
          <span className="text-sm">
            <WordSelect
              label="Curve of the house"
              value={value.from ?? ""}
              choices={[
                ...(value.from === undefined ? [["", "as typed"] as const] : []),
                ...curves.map(({ name }) => [name, name] as const),
                ...(value.from !== undefined && !curves.some(({ name }) => name === value.from)
                  ? [[value.from, `${value.from}, no more in the settings`] as const]
                  : []),
              ]}
              onChange={name => {
                const curve = curves.find(each => each.name === name);
                if (curve)
                  change(now => ({
                    ...now,
                    value: {
                      ...curveOfHouse(curve, unit),
                      ...(now.value.listPrice !== undefined && { listPrice: now.value.listPrice }),
                    },
                  }));
              }}
            />{" "}
            of the house
          </span>
        )
      }
    >
      <CurveFields
        curve={value}
        unit={unit}
        months={file.months}
        longest={told?.lines.months ?? file.months}
        notation={notation}
        onChange={(next, key) =>
          change(now => ({ ...now, value: withOptional(next(now.value), "from", undefined) }), key)
        }
      />
      <div className="mt-1 flex flex-wrap items-center gap-x-2 gap-y-1 text-faint text-sm">
        percents of the list price
        <AmountField
          label="List price"
          amount={value.listPrice}
          currency={currency}
          notation={notation}
          placeholder={told && told.kept.percentsOf === "listPrice" ? "the deal’s" : "–"}
          put={listPrice =>
            change(now => ({ ...now, value: withOptional(now.value, "listPrice", listPrice) }), "list price")
          }
        />
        {told?.kept.percentsOf === "price" && "none is known, so they are of the price"}
      </div>
    </CardSection>
  );
}
