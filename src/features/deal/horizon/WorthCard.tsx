import { curveOfHouse } from "@/exchange/keep-for/start";
import { unitName } from "@/exchange/keep-for/tie-words";
import { withOptional } from "@/exchange/members";
import { inNotation } from "@/exchange/notation";
import { TypedFigure } from "@/features/typing/TypedFigure";
import { useDesk } from "../desk/desk-context";
import { useNotation } from "../option/option-context";
import { AmountField } from "../repayment/AmountField";
import { CardSection } from "../repayment/CardSection";
import { AsideChoice } from "./AsideChoice";
import { readDistance, readPercentOrNone, readPrice } from "./read-figures";
import type { Horizon } from "./use-horizon";
import { WorthCurve } from "./WorthCurve";

/** What the vehicle will be worth: the curve, whose it is, and what distance takes off. */
export function WorthCard({ horizon }: { horizon: Horizon }) {
  const { notation } = useNotation();
  const { house } = useDesk();
  const { file, change, currency, told } = horizon;
  const { value, unit } = file;
  const curves = house.curves ?? [];
  const put = (next: Partial<typeof value>, key: string) =>
    change(now => ({ ...now, value: { ...now.value, ...next } }), key);
  return (
    <CardSection
      title="What it will be worth"
      beside={
        curves.length > 0 && (
          <span className="text-sm">
            <AsideChoice
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
      <WorthCurve
        points={value.points}
        months={file.months}
        longest={told?.lines.months ?? file.months}
        onPoints={points =>
          change(
            now => ({ ...now, value: { ...withOptional(now.value, "from", undefined), points } }),
            "curve",
          )
        }
      />
      <div className="mt-1 flex flex-wrap items-center gap-x-2 gap-y-1 text-sm">
        less
        <TypedFigure
          label="Off for each unit beyond a normal year"
          className="w-20"
          shown={inNotation(String(value.beyond ?? "0"), notation)}
          value={String(value.beyond ?? "0")}
          notation={notation}
          read={text => readPrice(text, notation)}
          put={beyond => put({ beyond, normalDistance: value.normalDistance ?? 0 }, "beyond")}
        />
        for each of its {unitName(unit)} beyond
        <TypedFigure
          label="Driven in a normal year"
          className="w-24"
          shown={inNotation((value.normalDistance ?? 0).toLocaleString("en-US"), notation)}
          value={value.normalDistance ?? 0}
          notation={notation}
          read={text => readDistance(text, notation)}
          put={normalDistance => put({ normalDistance }, "normal")}
        />
        a year. A lessor gets
        <TypedFigure
          label="What of it a lessor gets"
          className="w-20"
          shown={inNotation(`${value.realized ?? "100"} %`, notation)}
          value={String(value.realized ?? "100")}
          notation={notation}
          read={text => {
            const read = readPercentOrNone(text, notation, { most: 100 });
            return "value" in read ? { value: read.value ?? "100" } : read;
          }}
          put={realized =>
            change(
              now => ({
                ...now,
                value: withOptional(now.value, "realized", realized === "100" ? undefined : realized),
              }),
              "realized",
            )
          }
        />
        of it.
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-x-2 gap-y-1 text-faint text-sm">
        percents of the list price
        <AmountField
          label="List price"
          amount={value.listPrice}
          currency={currency}
          notation={notation}
          placeholder={told && told.kept.valueOf === "listPrice" ? "the deal’s" : "–"}
          put={listPrice =>
            change(now => ({ ...now, value: withOptional(now.value, "listPrice", listPrice) }), "list price")
          }
        />
        {told?.kept.valueOf === "price" && "none is known, so they are of the price"}
      </div>
    </CardSection>
  );
}
