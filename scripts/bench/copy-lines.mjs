// The yardstick of pricing a file: reads its lines as JSON and writes them again, as streams, pricing nothing.
import { createReadStream } from "node:fs";

const write = text => new Promise(resolve => process.stdout.write(text, resolve));
const copied = lines => {
  let out = "";
  for (const line of lines) if (line !== "") out += `${JSON.stringify(JSON.parse(line))}\n`;
  return out;
};

let rest = "";
for await (const chunk of createReadStream(process.argv[2], { encoding: "utf8" })) {
  const lines = (rest + chunk).split("\n");
  rest = lines.pop();
  await write(copied(lines));
}
await write(copied([rest]));
