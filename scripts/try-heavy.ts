import { benchHeaviest } from "./bench/heaviest";
import { benchOthersWait } from "./bench/others-wait";
import { serveTree } from "./bench/served";
export async function run() {
  const { address, stop } = await serveTree(".", 4498, 20_000);
  try {
    if (process.env.OTHERS) await benchOthersWait(address);
    await benchHeaviest(address);
  } catch (e) {
    console.log(e);
  } finally {
    stop();
  }
}
