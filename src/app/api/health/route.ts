import { serverDatabase } from "@/server/database";
import { answer } from "@/server/door";
import { health } from "@/server/health";

export const dynamic = "force-dynamic";

export const GET = () => answer(async () => health(await serverDatabase()));
