import { inNotation } from "@/exchange/notation";
import { type DeskFind, type FieldName, linesOf, withNewLine } from "../fields";
import { askedOf } from "../kinds/asked";
import {
  fieldIn,
  fieldUnit,
  notationIn,
  type OptionAction,
  type OptionState,
  optionReducer,
  plainFieldText,
  shownQuote,
} from "../option";
import type { SaidFigure, SaidKnown } from "../option/asked-kind";
import { newLine } from "../structure/new-line";

/** What a phrase does to an option: the actions, in words what each changes, and the option after them. */
type Phrase = { actions: OptionAction[]; says: string; after: OptionState };

/** What figures are called in a phrase, longer names first, and what is typed after the number. */
const FIGURES: readonly { figure: SaidFigure; words: RegExp; unit?: string }[] = [
  { figure: "years", words: /years?|yrs?/, unit: " y" },
  { figure: "payments", words: /(?:number of )?payments|(?:monthly )?instal?ments|months?|term/ },
  { figure: "rate", words: /(?:yearly |interest )?rate|interest|apr/ },
  { figure: "factor", words: /(?:money )?factor/ },
  { figure: "allowance", words: /trade[- ]?in(?: allowance)?|allowance/ },
  { figure: "owed", words: /owed(?: on(?: the)? trade[- ]?in)?|payoff/ },
  { figure: "down", words: /(?:cash )?down(?: payment)?|cash/ },
  { figure: "residual", words: /residual/ },
  { figure: "balloon", words: /balloon/ },
  { figure: "extra", words: /extra(?: with every payment| each time)?/ },
  { figure: "firstPayment", words: /first payment|starts?/ },
  { figure: "signed", words: /contract(?: date)?|signed/ },
  { figure: "listPrice", words: /list price/ },
  { figure: "price", words: /(?:agreed )?price|amount(?: asked for)?/ },
];

/** What can be found by which words. */
const FINDS: readonly (readonly [RegExp, SaidFigure | "payment"])[] = [
  [/^(?:the )?payment$/, "payment"],
  [/^(?:the )?(?:agreed )?(?:price|amount)$/, "price"],
  [/^(?:the )?(?:cash )?down(?: payment)?$|^(?:the )?cash$/, "down"],
  [/^(?:the )?(?:trade[- ]?in(?: allowance)?|allowance)$/, "allowance"],
  [/^(?:the )?(?:yearly |interest )?rate$|^(?:the )?(?:money )?factor$/, "rate"],
  [/^(?:the )?(?:number of payments|payments|term|months)$/, "payments"],
  [/^(?:the )?balloon$/, "balloon"],
  [/^(?:the )?residual$/, "residual"],
  [/^(?:the )?extra(?: payment)?$/, "extra"],
];

/** What something is found from by which words. */
const KNOWNS: readonly (readonly [RegExp, SaidKnown])[] = [
  [/^(?:a )?payment(?: of)?/, "payment"],
  [/^(?:a )?total cost(?: of)?/, "totalCost"],
  [/^(?:a )?finance charge(?: of)?|^cost of financing(?: of)?/, "financeCharge"],
  [/^(?:a )?(?:sum )?due(?: at signing)?(?: of)?/, "dueAtSigning"],
  [/^(?:an )?amount financed(?: of)?/, "amountFinanced"],
  [/^(?:a )?loan(?: amount)?(?: of)?/, "loanAmount"],
  [/^(?:an )?end(?:s|ing)?(?: date)?(?: by| of)?/, "endDate"],
];

/** Words between a figure's name and its number. */
const FILLER = /^(?:to|of|is|at|=|:|at most|by)\s+/;

/**
 * What a plain phrase does: "72 payments at 5.9", "down 15 %", "find price for payment 550".
 *
 * @returns undefined where it is no such phrase, or something of it cannot be read
 */
export function phraseOf(text: string, option: OptionState): Phrase | undefined {
  const typed = text.trim().replace(/\s+/g, " ");
  if (typed === "") return undefined;
  const found = /^(?:find|solve(?: for)?) (.+)$/i.exec(typed);
  return found ? findPhrase(found[1] ?? "", option) : setPhrase(typed, option);
}

function findPhrase(words: string, option: OptionState): Phrase | undefined {
  const [what = "", ...rest] = words.split(/ (?:for|from|so that it|that)(?: it)? /i);
  const said = FINDS.find(([name]) => name.test(what.toLowerCase().trim()))?.[1];
  const find = said && saidOf(option).finds[said];
  if (find === undefined) return undefined;
  const actions: OptionAction[] = [{ type: "find", figure: find }];
  const from = rest.join(" ").trim();
  if (from !== "") {
    const known = knownIn(from, option);
    if (!known) return undefined;
    if (known.figure !== "payment") actions.push({ type: "known", figure: known.figure } as OptionAction);
    if (known.figure === "payment") actions[0] = { type: "find", figure: find, wish: known.text };
    else actions.push({ type: "typed", field: known.field, text: known.text });
  }
  return done(actions, option, () => `Finds the ${saidOf(option).foundName(find)}${from && ` for ${from}`}`);
}

function knownIn(
  from: string,
  option: OptionState,
): { figure: string; field: FieldName; text: string } | undefined {
  const { knowns, knownField } = saidOf(option);
  for (const [words, known] of KNOWNS) {
    const start = words.exec(from.toLowerCase())?.[0];
    const figure = knowns[known];
    if (start === undefined || figure === undefined) continue;
    const text = from
      .slice(start.length)
      .trim()
      .replace(FILLER, "")
      .replace(/^at most /i, "");
    return text === "" ? undefined : { figure, field: knownField(figure), text };
  }
  return undefined;
}

const saidOf = ({ inputs }: OptionState) => askedOf(inputs).said;

const BETWEEN = /\s*(?:,|;|\band\b|\bwith\b|\bat\b(?! most))\s+/i;

const LINE = /^(?:add (?:a )?)?(?:(.*\S)\s+)?(tax|fee|extra|rebate)(?: of)?\s+(\p{Sc}?[\d.,]+\s*%?)$/iu;
const LISTS = { tax: "taxes", fee: "fees", extra: "extras", rebate: "rebates" } as const;
const AMOUNTS = { tax: "rate", fee: "amount", extra: "amount", rebate: "amount" } as const;

/** "tax 6.25", "title fee 299": a line more, or the figure of the one that is called so. */
function linePhrase(typed: string, option: OptionState): Phrase | undefined {
  const [, called, word = "", figure = ""] = LINE.exec(typed) ?? [];
  const kind = word.toLowerCase() as keyof typeof LISTS;
  if (!(kind in LISTS) || (kind === "tax" && !option.desk.hasTaxLines)) return undefined;
  const list = LISTS[kind];
  const name = called ? `${called} ${kind}`.replace(/^./, first => first.toUpperCase()) : NEW_LINES[kind];
  const lines = linesOf(option.inputs.structure, list) as readonly { name: string }[];
  const there = lines.findIndex(line => line.name.toLowerCase() === name.toLowerCase());
  const index = there < 0 ? lines.length : there;
  const field = `${list}/${index}/${AMOUNTS[kind]}` as FieldName;
  const line = kind === "tax" ? { name, rate: "0", on: ["price", "fees", "extras"] } : { name, amount: "0" };
  const added = newLine(list, line as never);
  const add: OptionAction = {
    type: "structure",
    change: now => withNewLine(now, list, added),
  };
  const actions: OptionAction[] = [...(there < 0 ? [add] : []), { type: "typed", field, text: figure }];
  return done(actions, option, () => `${name} ${figure}`);
}

const NEW_LINES = { tax: "Sales tax", fee: "Fee", extra: "Extra", rebate: "Rebate" };

/** "72 payments at 5.9": each part names a figure, or is a rate. */
function setPhrase(typed: string, option: OptionState): Phrase | undefined {
  const line = linePhrase(typed, option);
  if (line) return line;
  const actions: OptionAction[] = [];
  for (const part of typed.split(BETWEEN)) {
    const set = partOf(part.trim(), option, actions.length > 0);
    if (!set) return undefined;
    actions.push({ type: "typed", field: set.field, text: set.text });
  }
  return done(actions, option, after => changesText(actions, option, after));
}

function partOf(
  part: string,
  option: OptionState,
  isLater: boolean,
): { field: FieldName; text: string } | undefined {
  const fields = saidOf(option).fields(option.inputs);
  for (const { figure, words, unit = "" } of FIGURES) {
    const field = fields[figure];
    if (field === undefined) continue;
    const first = new RegExp(`^(?:make )?(?:the )?(?:${words.source})\\s+(.+)$`, "i").exec(part);
    const last = new RegExp(
      `^(?:make )?(?:it )?([+−–-]?[\\p{Sc}\\d.,][^a-z]*?)\\s*(?:${words.source})$`,
      "iu",
    ).exec(part);
    const count = last?.[1] && /months?$/i.test(part) ? `${last[1]} m` : last?.[1];
    const text = (first?.[1]?.replace(FILLER, "") ?? count)?.trim();
    if (text !== undefined && text !== "")
      return figure === "rate" ? rateOf(text, field, option) : { field, text: text + unit };
  }
  // What follows "at" is a rate.
  const isRate = /^[\d.,]+\s*%?$/.test(part) && (isLater || part.endsWith("%"));
  return isRate && fields.rate ? rateOf(part, fields.rate, option) : undefined;
}

/** A yearly rate where the deal has it, as it is typed there. */
function rateOf(typed: string, field: FieldName, option: OptionState): { field: FieldName; text: string } {
  const percent = typed.replace(/\s*%$/, "");
  return { field, text: saidOf(option).rateTyped?.(option.inputs, percent) ?? percent };
}

/** The phrase done; undefined where something of it cannot be read or changes nothing. */
function done(
  actions: OptionAction[],
  option: OptionState,
  words: (after: OptionState) => string,
): Phrase | undefined {
  const after = actions.reduce(optionReducer, option);
  if (after === option || Object.keys(after.errors).some(field => !(field in option.errors)))
    return undefined;
  const answered = answerText(option, after);
  return { actions, after, says: `${words(after)}${answered && `; ${answered}`}.` };
}

function changesText(actions: readonly OptionAction[], option: OptionState, after: OptionState): string {
  const notation = notationIn(option);
  return actions
    .map(action => {
      if (action.type !== "typed") return "";
      const { field } = action;
      const [from, to] = [option, after].map(state => {
        const text = inNotation(plainFieldText(state, field), notation);
        return text === "" ? "none" : `${text}${fieldUnit(state, field) === "%" ? " %" : ""}`;
      });
      return `${fieldIn(option, field).label} ${from} → ${to}`;
    })
    .join(", ");
}

/** What becomes of the figure being found: "payment 683.97 → 640.12". */
function answerText(before: OptionState, after: OptionState): string {
  const error = after.answer.ok ? undefined : after.answer.failure.sentence;
  if (error) return inNotation(error, notationIn(after));
  const field: FieldName | undefined =
    after.inputs.find === "payment" ? undefined : fieldFound(after.inputs.find as DeskFind, after);
  const text = (state: OptionState) => {
    const quote = shownQuote(state);
    if (!quote) return "none";
    return inNotation(
      field
        ? plainFieldText(state, field) || "none"
        : (quote.payment / 10 ** quote.decimals).toFixed(quote.decimals),
      notationIn(state),
    );
  };
  const name = saidOf(after).foundName(after.inputs.find as DeskFind);
  return `${name} ${text(before)} → ${text(after)}`;
}

/** The field that shows a found figure. */
const fieldFound = (find: DeskFind, option: OptionState): FieldName | undefined =>
  saidOf(option).foundFields.find(field => fieldIn(option, field).foundAs?.includes(find));
