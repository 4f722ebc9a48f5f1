import { useEffect } from "react";
import type { FieldName, ListName } from "../fields";
import { lineName } from "../fields/line-fields";
import { useOption } from "../option/option-context";
import { Check } from "../parts/choices";
import { FigureField } from "../parts/FigureField";
import { fieldId } from "../parts/field-id";
import { ChargeEditor } from "./ChargeEditor";
import { EditorFrame } from "./EditorFrame";
import { TaxEditor } from "./TaxEditor";
import { type Opening, useStructure } from "./use-structure";

type Props = { list: ListName; index: number; opening: Opening };

/** All about one line, below it: its name, what it is of, how it counts, and the way to remove. */
export function LineEditor({ list, index, opening }: Props) {
  const { inputs, takeOut, put, structure } = useStructure();
  const { hasTaxLines } = useOption().option.desk;
  const name: FieldName = `${list}/${index}/name`;
  useEffect(() => {
    document.getElementById(fieldId(name))?.focus();
  }, [name]);
  return (
    <EditorFrame
      label={lineName(inputs, list, index)}
      onDone={() => opening.setOpen(null)}
      onTakeOut={() => takeOut(list, index)}
    >
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <FigureField field={name} shortLabel="Name" />
        {list === "taxes" && <TaxEditor index={index} />}
        {(list === "fees" || list === "extras") && <ChargeEditor list={list} index={index} />}
      </div>
      {list === "rebates" && hasTaxLines && (
        <Check
          label="Before tax: it lowers what is taxed"
          checked={structure.rebates?.[index]?.beforeTax ?? false}
          disabled={structure.taxIncluded}
          onChange={checked => put("rebates", index, { beforeTax: checked || undefined })}
        />
      )}
    </EditorFrame>
  );
}
