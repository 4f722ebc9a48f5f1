import type { Metadata } from "next";
import { PeopleScreen } from "@/features/people/PeopleScreen";
import { openPeople } from "@/server/people/people";
import { houseSettings } from "../../house";
import { ownStore, visitor } from "../../visit";

export const metadata: Metadata = { title: "People" };

/** Who works here; while nobody has a name, where the first one is made. */
export default async function PeoplePage() {
  const asker = await visitor();
  const [{ settings }, colleagues] = await Promise.all([
    houseSettings(),
    openPeople(await ownStore(), asker),
  ]);
  return <PeopleScreen colleagues={colleagues} locale={settings.locale} />;
}
