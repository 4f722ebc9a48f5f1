import { answer, answerAsIs, readBody } from "@/server/door";
import { addPerson, openPeople } from "@/server/people/people";
import { checkPersonRequest } from "@/server/requests";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "signedIn", async ({ store, asker }) => openPeople(await store(), asker));

export const POST = (request: Request) =>
  answerAsIs(request, "keepPeople", async context =>
    addPerson(context, await readBody(request, checkPersonRequest)),
  );
