import { type ReactNode, useId } from "react";

type Props = {
  title: string;
  /** What stands beside its title. */
  beside?: ReactNode;
  children: ReactNode;
};

/** One thing that can be asked of the repayment. */
export function CardSection({ title, beside, children }: Props) {
  const id = useId();
  return (
    <section aria-labelledby={id} className="border-base-300 border-t px-4 py-2.5 first:border-t-0">
      <div className="mb-1 flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
        <h2 id={id} className="font-semibold text-lg">
          {title}
        </h2>
        {beside}
      </div>
      {children}
    </section>
  );
}

/** A figure that was worked out, with its name; the sum of others stands out. */
export function Worked({ name, text, isSum }: { name: ReactNode; text: string; isSum?: boolean }) {
  return (
    <>
      <dt className={isSum ? "font-semibold" : "text-faint"}>{name}</dt>
      <dd className={`text-right ${isSum ? "font-semibold text-lg leading-6" : ""}`}>{text}</dd>
    </>
  );
}
