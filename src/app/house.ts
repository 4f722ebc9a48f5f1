import { cache } from "react";
import { openSettings } from "@/server/settings";
import { serverStore } from "@/server/store";

/** The house's settings, read once for a page and its frame. */
export const houseSettings = cache(async () => openSettings(await serverStore()));
