import { type KeyboardEvent, type ReactNode, useLayoutEffect, useRef } from "react";

type Props = { label: string; className: string; children: ReactNode };

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 };

/** Makes one of some buttons the one that Tab comes to. */
function enter(all: readonly HTMLButtonElement[], entry: HTMLButtonElement | undefined): void {
  for (const button of all) {
    const order = button === entry ? 0 : -1;
    if (button.tabIndex !== order) button.tabIndex = order;
  }
}

/** Buttons that Tab passes in one step; arrow keys go from one to the next. */
export function Toolbar({ label, className, children }: Props) {
  const bar = useRef<HTMLDivElement>(null);
  const buttons = () => [...(bar.current?.querySelectorAll("button") ?? [])];
  useLayoutEffect(() => {
    const all = buttons();
    enter(all, all.find(button => button === document.activeElement) ?? all[0]);
  });
  const press = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    const all = buttons();
    const next = step && all[all.indexOf(event.target as HTMLButtonElement) + step];
    if (!next) return;
    event.preventDefault();
    enter(all, next);
    next.focus();
  };
  return (
    <div ref={bar} role="toolbar" aria-label={label} className={className} onKeyDown={press}>
      {children}
    </div>
  );
}
