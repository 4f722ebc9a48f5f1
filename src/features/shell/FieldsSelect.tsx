"use client";

import { useEffect } from "react";

/** A line to type in; not a text of several lines, nor what is ticked or dragged. */
const fieldOf = (target: EventTarget | null): HTMLInputElement | null =>
  target instanceof HTMLInputElement && target.classList.contains("field") ? target : null;

/** A press or a Tab into any field selects its text: what is typed next takes its place. */
export function FieldsSelect() {
  useEffect(() => {
    const entered = ({ target }: FocusEvent) => fieldOf(target)?.select();
    // The press that brings the focus would take the selection away again.
    const pressed = (event: MouseEvent) => {
      const field = fieldOf(event.target);
      if (!field || field.disabled || document.activeElement === field) return;
      event.preventDefault();
      field.focus();
    };
    document.addEventListener("focusin", entered);
    document.addEventListener("mousedown", pressed);
    return () => {
      document.removeEventListener("focusin", entered);
      document.removeEventListener("mousedown", pressed);
    };
  }, []);
  return null;
}
