import { currencyDecimals } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { type Read, useTyped } from "@/features/typing/use-typed";
import { useFrame } from "../desk/desk-context";

/** The money of a deal, to be typed. */
export function CurrencyField({ currency }: { currency: string }) {
  const { edit } = useFrame();
  const { sentence, text, type, leave } = useTyped({
    shown: currency,
    value: currency,
    read: (typed): Read<string> => {
      const code = typed.trim().toUpperCase();
      return currencyDecimals(code) === undefined
        ? { sentence: `“${code}” is not a known currency; type a code of ISO 4217 such as USD.` }
        : { value: code };
    },
    put: code =>
      edit(document => ({
        ...document,
        options: document.options.map(option => ({
          ...option,
          inputs: { ...option.inputs, currency: code } as DealFile,
        })),
      })),
  });
  return (
    <>
      <input
        aria-label="Currency"
        className="field inline-block h-7 w-14"
        value={text}
        maxLength={3}
        autoComplete="off"
        aria-invalid={sentence !== undefined}
        onChange={event => type(event.target.value)}
        onBlur={leave}
      />
      {sentence !== undefined && <span className="ml-1 text-error">{sentence}</span>}
    </>
  );
}
