import { type FormEvent, useState } from "react";
import type { Answer } from "@/features/api/client";
import { reasonOf } from "@/features/api/reason-of";
import type { SignInReply } from "@/server/contract";

/** A form by which one comes in: what it is sent by, what is wrong, and whether it is under way. */
export function useEntering(
  send: () => Promise<Answer<SignInReply>>,
  onEntered: (reply: SignInReply) => void,
) {
  const [trouble, setTrouble] = useState("");
  const [isSending, setSending] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setSending(true);
    setTrouble("");
    const answer = await send();
    if (answer.kind === "done") return onEntered(answer.value);
    setSending(false);
    setTrouble(reasonOf(answer));
  };
  return { trouble, isSending, submit: (event: FormEvent) => void submit(event) };
}
