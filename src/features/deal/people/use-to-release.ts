import { useCallback, useEffect, useState } from "react";
import type { NeedsRelease } from "@/exchange/releases";
import { dealPeopleApi } from "@/features/api/people";
import { useMe } from "@/features/people/me-context";

/** What a manager has to release before a deal is signed; empty where people have no names, undefined while it is asked. */
export function useToRelease(dealId: string | undefined): {
  open: readonly NeedsRelease[] | undefined;
  look: () => void;
} {
  const isAsked = useMe() !== null && dealId !== undefined;
  const [open, setOpen] = useState<readonly NeedsRelease[]>();
  const look = useCallback(async () => {
    const answer = await dealPeopleApi.releases(dealId ?? "");
    // Whoever may not sign is told so when they do.
    if (answer.kind === "done") setOpen(answer.value.open);
    else if (answer.kind === "refused") setOpen([]);
  }, [dealId]);
  useEffect(() => {
    if (isAsked) void look();
  }, [isAsked, look]);
  return { open: isAsked ? open : NOTHING, look: () => void look() };
}

const NOTHING: readonly NeedsRelease[] = [];
