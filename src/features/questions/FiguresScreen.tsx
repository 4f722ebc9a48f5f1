"use client";

import { Equal, FileDown, FileUp } from "lucide-react";
import { useMemo, useState } from "react";
import { useDropzone } from "react-dropzone";
import { inNotation, notationOf } from "@/exchange/notation";
import type { FreeQuestion, QuestionFile } from "@/exchange/questions/questions.schema";
import type { Settings } from "@/exchange/settings";
import { readJson } from "@/exchange/text";
import { readTextFile } from "@/features/api/read-text-file";
import { saveFile } from "@/features/figures/save-file";
import { notify } from "@/features/notices/notify";
import { FlowsCard } from "./FlowsCard";
import { answerFlows, flowsQuestion, flowsText, readFlows } from "./flows";
import { type Place, PlaceContext } from "./place";
import { answerRate, RateCard } from "./RateCard";
import { type RateAsked, rateAskedOf } from "./rate";
import { SavingCard, TimeValueCard } from "./TimeValueCard";
import { type Asked, answerAsked, askedOf, questionOf } from "./time-value";

/** All questions of the page, as they are typed. */
type Questions = { money: Asked; saving: Asked; rate: RateAsked; flows: string };

const MONTHLY = { frequency: "monthly", timing: "arrears", compounding: "payments" } as const;

/** The questions that the page opens with: an everyday loan, an everyday saving. */
function firstQuestions(notation: Place["notation"]): Questions {
  const there = (text: string) => inNotation(text, notation);
  return {
    money: {
      ...MONTHLY,
      find: "yearlyRate",
      texts: {
        presentValue: there("24,600.00"),
        payment: there("470.00"),
        futureValue: there("0.00"),
        payments: "60",
        yearlyRate: "",
      },
      directions: { presentValue: "received", payment: "paid", futureValue: "paid" },
    },
    saving: {
      ...MONTHLY,
      find: "payments",
      texts: {
        presentValue: there("2,000.00"),
        payment: there("300.00"),
        futureValue: there("20,200.00"),
        payments: "",
        yearlyRate: "3",
      },
      directions: { presentValue: "paid", payment: "paid", futureValue: "received" },
    },
    rate: { text: there("6.49"), from: "nominal monthly", to: "effective", payments: "60" },
    flows: [`24 Nov 2026\t${there("10,000.00")}`, `24 Dec 2026\t−${there("305.00")} × 36`].join("\n"),
  };
}

/** What of the page has an answer, as it is filed. */
function filed({ money, saving, rate, flows }: Questions, place: Place): FreeQuestion[] {
  const asked: FreeQuestion[] = [];
  for (const each of [money, saving]) {
    const answered = answerAsked(each, place);
    if (answered.ok) asked.push(questionOf(answered.value.plan));
  }
  const converted = answerRate(rate, place);
  if (converted.ok) asked.push(converted.value.question);
  const read = readFlows(flows, place);
  const rates = "flows" in read ? answerFlows(read.flows) : undefined;
  if (rates?.ok) asked.push(flowsQuestion(rates.value.transaction, place.currency));
  return asked;
}

/** The page with the questions of a file: of each kind the first, of money over time two. */
function withFile(now: Questions, { ask }: QuestionFile, notation: Place["notation"]): Questions {
  const there = (asked: Asked): Asked => ({
    ...asked,
    texts: Object.fromEntries(
      Object.entries(asked.texts).map(([figure, text]) => [figure, inNotation(text, notation)]),
    ) as Asked["texts"],
  });
  const times = ask
    .filter(question => question.ask === "timeValue")
    .map(question => there(askedOf(question)));
  // What goes out now, and each time, to come back at the end, is a saving.
  const saving = times.find(
    ({ directions }) =>
      directions.presentValue === "paid" &&
      directions.payment === "paid" &&
      directions.futureValue === "received",
  );
  const money = times.find(each => each !== saving);
  const rate = ask.find(question => question.ask === "rate");
  const flows = ask.find(question => question.ask === "apr");
  return {
    money: money ?? now.money,
    saving: saving ?? now.saving,
    rate: rate ? rateAskedOf(rate) : now.rate,
    flows: flows ? flowsText(flows) : now.flows,
  };
}

/** Questions without a deal, each asked and answered in a sentence. */
export function FiguresScreen({ house }: { house: Settings }) {
  const notation = notationOf(house.locale);
  const [questions, setQuestions] = useState(() => firstQuestions(notation));
  const place = useMemo(() => ({ currency: house.currency, notation }), [house.currency, notation]);
  const put = (change: Partial<Questions>) => setQuestions(now => ({ ...now, ...change }));

  const bringIn = async (files: readonly File[]) => {
    const [file] = files;
    if (!file) return;
    const text = await readTextFile(file);
    const json = text.ok ? readJson(text.value) : text;
    if (!json.ok) return void notify.error(`${file.name}: ${json.sentence}`);
    // What checks it comes when a file does.
    const { readQuestionFile } = await import("@/exchange/questions/read-question-file");
    const read = readQuestionFile(json.value);
    if (!read.ok) return void notify.error(`${file.name}: ${read.sentence}`);
    if (read.value.currency !== house.currency)
      return void notify.error(`${file.name} is in ${read.value.currency}, the house in ${house.currency}.`);
    setQuestions(now => withFile(now, read.value, notation));
    notify.success(`The questions of ${file.name} are on the page.`);
  };
  const drop = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    onDrop: files => void bringIn(files),
  });
  const save = () => {
    const file = {
      format: "kellux-questions",
      version: 1,
      currency: house.currency,
      ask: filed(questions, place),
    };
    saveFile("questions.json", "application/json", `${JSON.stringify(file, null, 2)}\n`);
  };
  return (
    <PlaceContext value={place}>
      <div {...drop.getRootProps({ role: undefined })} className="min-h-full p-4 md:px-6">
        <input {...drop.getInputProps({ "aria-label": "Question file to import" })} />
        <div className="mb-3 flex flex-wrap items-center gap-3">
          <h1 className="font-semibold text-2xl">Figures</h1>
          <span className="text-faint">questions without a deal, in {house.currency}</span>
          <a href="/figures/match" className="btn btn-sm ml-auto h-8.5">
            <Equal size={16} aria-hidden="true" />
            Match a lender’s figures
          </a>
          <button type="button" className="btn btn-sm h-8.5" onClick={drop.open}>
            <FileUp size={16} aria-hidden="true" />
            Import questions
          </button>
          <button type="button" className="btn btn-sm h-8.5" onClick={save}>
            <FileDown size={16} aria-hidden="true" />
            Export questions
          </button>
        </div>
        <div className="grid items-start gap-4 xl:grid-cols-2">
          <div className="grid min-w-0 gap-4">
            <TimeValueCard asked={questions.money} onChange={money => put({ money })} />
            <SavingCard asked={questions.saving} onChange={saving => put({ saving })} />
          </div>
          <div className="grid min-w-0 gap-4">
            <RateCard asked={questions.rate} onChange={rate => put({ rate })} />
            <FlowsCard text={questions.flows} onChange={flows => put({ flows })} />
          </div>
        </div>
      </div>
    </PlaceContext>
  );
}
