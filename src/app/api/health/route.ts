import { dataFolder } from "@/server/data-folder";
import { answer } from "@/server/door";
import { health } from "@/server/health";
import { serverStore } from "@/server/store";

export const dynamic = "force-dynamic";

export const GET = () => answer(async () => health(await serverStore(), dataFolder()));
