import { type FormEvent, useState } from "react";
import type { Answer } from "@/features/api/client";
import { reasonOf } from "@/features/api/reason-of";

/** A form that is sent: what is wrong with it, and whether it is under way. */
export function useSending<Value>(send: () => Promise<Answer<Value>>, onDone: (value: Value) => void) {
  const [trouble, setTrouble] = useState("");
  const [isSending, setSending] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setSending(true);
    setTrouble("");
    const answer = await send();
    setSending(false);
    if (answer.kind === "done") onDone(answer.value);
    else setTrouble(reasonOf(answer));
  };
  return { trouble, isSending, submit: (event: FormEvent) => void submit(event) };
}
