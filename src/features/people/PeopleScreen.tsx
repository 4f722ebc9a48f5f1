"use client";

import { useCallback, useState } from "react";
import { type Locale, notationOf } from "@/exchange/notation";
import { peopleApi } from "@/features/api/people";
import type { ColleaguesReply } from "@/server/contract";
import { DoingsCard } from "./DoingsCard";
import { FirstPerson } from "./FirstPerson";
import { useMay, useMe } from "./me-context";
import { OwnCard } from "./OwnCard";
import { PeopleCard } from "./PeopleCard";

/** Who works here and what they may; one's own way in; who did what. */
export function PeopleScreen({ colleagues, locale }: { colleagues: ColleaguesReply; locale: Locale }) {
  const me = useMe();
  const maySeeDoings = useMay("seeDoings");
  const [{ people, branches }, setColleagues] = useState(colleagues);
  const load = useCallback(async () => {
    const answer = await peopleApi.all();
    if (answer.kind === "done") setColleagues(answer.value);
  }, []);
  return (
    <div className="min-h-full p-4 md:px-6" data-testid="people">
      <h1 className="mb-3 font-semibold text-2xl">People</h1>
      {me ? (
        <div className="grid items-start gap-4 xl:grid-cols-[22rem_1fr]">
          <OwnCard me={me} />
          <div className="grid min-w-0 gap-4">
            <PeopleCard people={people} branches={branches} onChanged={load} />
            {maySeeDoings && <DoingsCard people={people} notation={notationOf(locale)} />}
          </div>
        </div>
      ) : (
        <FirstPerson branches={branches} />
      )}
    </div>
  );
}
