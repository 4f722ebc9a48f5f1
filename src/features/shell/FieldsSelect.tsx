"use client";

import { useEffect } from "react";

/** A line to type in; not a text of several lines, nor what is ticked or dragged. */
const fieldOf = (target: EventTarget | null): HTMLInputElement | null =>
  target instanceof HTMLInputElement && target.classList.contains("field") ? target : null;

/**
 * A press or a Tab into any field selects its text: what is typed next takes its place. So does what takes the place of that
 * text meanwhile (what somebody else has saved, what an earlier page had left), until something is done in the field.
 */
export function FieldsSelect() {
  useEffect(() => {
    // React writes each text that it puts into a field to its attribute as well.
    const replaced = new MutationObserver(([change]) => fieldOf(change?.target ?? null)?.select());
    const untouched = (field: HTMLInputElement) =>
      replaced.observe(field, { attributes: true, attributeFilter: ["value"] });
    const touched = () => replaced.disconnect();
    const entered = ({ target }: FocusEvent) => {
      touched();
      const field = fieldOf(target);
      if (!field) return;
      field.select();
      untouched(field);
    };
    // The press that brings the focus would take the selection away again.
    const pressed = (event: MouseEvent) => {
      const field = fieldOf(event.target);
      if (!field || field.disabled || document.activeElement === field) return touched();
      event.preventDefault();
      field.focus();
    };
    const TOUCHES = ["keydown", "beforeinput", "focusout"];
    document.addEventListener("focusin", entered);
    document.addEventListener("mousedown", pressed);
    for (const touch of TOUCHES) document.addEventListener(touch, touched, true);
    return () => {
      touched();
      document.removeEventListener("focusin", entered);
      document.removeEventListener("mousedown", pressed);
      for (const touch of TOUCHES) document.removeEventListener(touch, touched, true);
    };
  }, []);
  return null;
}
