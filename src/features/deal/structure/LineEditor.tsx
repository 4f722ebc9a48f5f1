import { useEffect } from "react";
import type { FieldName, ListName } from "../fields";
import { lineName } from "../fields/line-fields";
import { Check } from "../parts/choices";
import { FigureField, fieldId } from "../parts/FigureField";
import { ChargeEditor } from "./ChargeEditor";
import { TaxEditor } from "./TaxEditor";
import { type Opening, useStructure } from "./use-structure";

type Props = { list: ListName; index: number; opening: Opening };

/** All about one line, below it: its name, what it is of, how it counts, and the way to take it out. */
export function LineEditor({ list, index, opening }: Props) {
  const { inputs, takeOut, put, structure } = useStructure();
  const name: FieldName = `${list}/${index}/name`;
  useEffect(() => {
    document.getElementById(fieldId(name))?.focus();
  }, [name]);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset would stand apart from the tally's grid.
    <div
      role="group"
      aria-label={lineName(inputs, list, index)}
      className="my-1 rounded-field bg-base-200 p-2.5"
      onKeyDown={event => {
        if (event.key === "Escape") opening.setOpen(null);
      }}
    >
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <FigureField field={name} shortLabel="Name" />
        {list === "taxes" && <TaxEditor index={index} />}
        {(list === "fees" || list === "extras") && <ChargeEditor list={list} index={index} />}
      </div>
      {list === "rebates" && (
        <Check
          label="Before tax: it lowers what is taxed"
          checked={structure.rebates?.[index]?.beforeTax ?? false}
          disabled={structure.taxIncluded}
          onChange={checked => put("rebates", index, { beforeTax: checked || undefined })}
        />
      )}
      <div className="mt-2 flex justify-between">
        <button
          type="button"
          className="btn btn-sm bg-base-100"
          onClick={() => {
            opening.setOpen(null);
            takeOut(list, index);
          }}
        >
          Take it out
        </button>
        <button type="button" className="btn btn-sm bg-base-100" onClick={() => opening.setOpen(null)}>
          Done
        </button>
      </div>
    </div>
  );
}
