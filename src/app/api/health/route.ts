import { dataFolder } from "@/server/data-folder";
import { answer } from "@/server/door";
import { health } from "@/server/health";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "stranger", async ({ store, asker }) => health(await store(), dataFolder(), asker));
