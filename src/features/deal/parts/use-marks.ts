import { useEffect } from "react";
import type { FieldName } from "../fields";
import { fieldId } from "./field-id";

/** A sentence about a figure that is beyond something, and where it is typed. */
type Mark = { sentence: string; field?: FieldName | undefined };

/** What each field is marked with, by all that mark it, and what was said of it before. */
const marked = new Map<HTMLElement, { title: string; sentences: string[] }>();

function show(element: HTMLElement): void {
  const at = marked.get(element);
  if (!at) return;
  const { title, sentences } = at;
  if (sentences.length > 0) {
    element.dataset.beyond = "";
    element.title = sentences.join(" ");
    return;
  }
  delete element.dataset.beyond;
  element.title = title;
  marked.delete(element);
}

/** Marks the fields of some figures where they are typed. The fields know nothing of it, and are drawn without it. */
export function useMarks(marks: readonly Mark[]): void {
  useEffect(() => {
    const put = marks.flatMap(({ field, sentence }) => {
      const element = field && document.getElementById(fieldId(field));
      if (!element) return [];
      const at = marked.get(element) ?? { title: element.title, sentences: [] };
      at.sentences.push(sentence);
      marked.set(element, at);
      show(element);
      return [{ element, sentence }];
    });
    return () => {
      for (const { element, sentence } of put) {
        const sentences = marked.get(element)?.sentences;
        sentences?.splice(sentences.indexOf(sentence), 1);
        show(element);
      }
    };
  }, [marks]);
}
