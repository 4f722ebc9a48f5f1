// Which pages are open, where the browser has no locks to tell it by: they ask each other.

const CHANNEL = "kellux-pages";
const WHO = "who is there?";
const ANSWERS_MS = 300;

/** Answers other pages by a name, until the returned function is called, or the page goes. */
export function answerFor(name: string): () => void {
  const channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = ({ data }) => data === WHO && channel.postMessage(name);
  return () => channel.close();
}

/** The names of the pages that are open. */
export async function answering(): Promise<string[]> {
  const channel = new BroadcastChannel(CHANNEL);
  const heard: string[] = [];
  channel.onmessage = ({ data }) => void heard.push(data as string);
  channel.postMessage(WHO);
  await new Promise(resolve => setTimeout(resolve, ANSWERS_MS));
  channel.close();
  return heard;
}
