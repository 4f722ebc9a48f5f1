import { useEffect } from "react";
import type { LenderAnswer } from "@/exchange/dealer";
import { fieldId } from "../parts/FigureField";
import { beyondApproval, isApproval } from "./approvals";
import type { Earning } from "./use-income";

/**
 * Marks the fields whose figures are beyond the last approval, where they are typed. The fields know nothing of the dealer's
 * side, and are drawn without it.
 */
export function useMarkedFields(earning: Earning | null, answers: readonly LenderAnswer[] = []): void {
  useEffect(() => {
    const last = answers.findLast(isApproval);
    const beyond = earning && last ? beyondApproval(last, earning) : [];
    const marked = beyond.flatMap(({ field, sentence }) => {
      const element = field && document.getElementById(fieldId(field));
      if (!element) return [];
      const { title } = element;
      element.dataset.beyond = "";
      element.title = sentence;
      return [{ element, title }];
    });
    return () => {
      for (const { element, title } of marked) {
        delete element.dataset.beyond;
        element.title = title;
      }
    };
  }, [earning, answers]);
}
