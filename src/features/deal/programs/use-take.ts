import type { Moved } from "@/core/programs";
import { newId } from "@/exchange/deal-document";
import { programsApi } from "@/features/api/rates";
import { reasonOf } from "@/features/api/reason-of";
import { DEALER_CHANGED } from "@/features/dealer-side/dealer-changed";
import { notify } from "@/features/notices/notify";
import { useDesk } from "../desk/desk-context";
import { openedOption } from "../desk/desk-state";
import { roomFor, withInputsOf, withName, withOptionsAfter } from "../options/option-changes";

/** A program of a lender, and what is moved to make it fit. */
type ToTake = { lender: string; program: string; moved?: Moved | undefined };

/** Makes an option with a program, or the open one one of it: what of that is the dealer's is kept by the server. */
export function useTake(dealId: string, spread: string | undefined) {
  const { state, edit } = useDesk();
  const { open, options } = state;
  const { inputs } = openedOption(state);
  const take = async (toTake: ToTake, isBeside: boolean) => {
    const made = isBeside ? newId() : open;
    const answer = await programsApi.take(dealId, { option: open, inputs, spread, made, ...toTake });
    if (answer.kind !== "done") {
      notify.error(`It was not taken. ${reasonOf(answer)}`);
      return;
    }
    const { inputs: taken, name } = answer.value;
    if (isBeside) edit(withOptionsAfter(open, [{ id: made, name, inputs: taken }]), made);
    else edit(document => withName(open, name)(withInputsOf(open, taken)(document)));
    window.dispatchEvent(new Event(DEALER_CHANGED));
    notify.success(isBeside ? `${name} is an option now.` : `This option is ${name} now.`);
  };
  return { take, room: roomFor({ options }) };
}
