import { answer } from "@/server/door";
import { stockMark } from "@/server/stock";
import { serverStore } from "@/server/store";

export const dynamic = "force-dynamic";

export const GET = () => answer(async () => stockMark(await serverStore()));
