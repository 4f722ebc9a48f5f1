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
    const hear = (event: Event) => {
      const field = fieldOf(event.target);
      replaced.disconnect();
      if (!field) return;
      if (event.type === "focusin") {
        field.select();
        replaced.observe(field, { attributeFilter: ["value"] });
      }
      // The press that brings the focus would take the selection away again.
      if (event.type === "mousedown" && !field.disabled && document.activeElement !== field) {
        event.preventDefault();
        field.focus();
      }
    };
    for (const type of HEARD) document.addEventListener(type, hear, true);
    return () => {
      replaced.disconnect();
      for (const type of HEARD) document.removeEventListener(type, hear, true);
    };
  }, []);
  return null;
}

/** What enters a field, and what is done in one. */
const HEARD = ["focusin", "mousedown", "keydown", "beforeinput", "focusout"];
