import type { WorkingStep } from "@/core";

type Props = {
  step: WorkingStep;
  /** How a text of the core is said, with figures as people of the place write them. */
  say: (text: string) => string;
  level?: number;
};

/** A step of a working with the steps that it builds on. */
export function WorkingSteps({ step, say, level = 0 }: Props) {
  return (
    <section className={level > 0 ? "mt-3 border-base-300 border-l-2 pl-4" : ""}>
      <div className="flex items-baseline gap-3">
        {level === 0 ? (
          <h2 className="font-semibold text-base">{step.name}</h2>
        ) : (
          <h3 className="font-semibold">{step.name}</h3>
        )}
        <span className={`whitespace-nowrap font-semibold ${level === 0 ? "text-base" : ""}`}>
          {say(step.result)}
        </span>
      </div>
      <p className="text-faint">= {step.formula}</p>
      <p>= {say(step.filled)}</p>
      {step.rounding && <p className="text-sm">{say(step.rounding)}</p>}
      {step.remark && <p className="mt-0.5 text-faint text-sm">{say(step.remark)}</p>}
      {step.parts.map(part => (
        <WorkingSteps key={part.name} step={part} say={say} level={level + 1} />
      ))}
    </section>
  );
}
