import { useEffect, useRef, useState } from "react";
import { PAPER_FACTS, type PaperName } from "@/exchange/papers/paper-kinds";
import { fetchPreview, type OptionsAsked } from "@/features/api/papers";

type Props = { dealId: string; name: PaperName; asked: OptionsAsked; onClose: () => void };

/** A paper as a picture, before it is given: marked so, and not kept. */
export function Preview({ dealId, name, asked, onClose }: Props) {
  const pages = useRef<HTMLDivElement>(null);
  const [said, setSaid] = useState("Drawing …");
  const key = JSON.stringify(asked);
  useEffect(() => {
    let isWanted = true;
    setSaid("Drawing …");
    const draw = async () => {
      const fetched = await fetchPreview(dealId, name, JSON.parse(key) as OptionsAsked);
      if (!isWanted) return;
      if ("sentence" in fetched) {
        setSaid(fetched.sentence);
        return;
      }
      const { drawPages } = await import("./draw-pages");
      const drawn = await drawPages(fetched.bytes);
      if (!isWanted) return;
      drawn.forEach((canvas, index) => {
        canvas.setAttribute("role", "img");
        canvas.setAttribute("aria-label", `${PAPER_FACTS[name].name}, page ${index + 1}, preview`);
        canvas.className = "mb-2 w-full border border-base-300";
      });
      pages.current?.replaceChildren(...drawn);
      setSaid("");
    };
    void draw();
    return () => {
      isWanted = false;
    };
  }, [dealId, name, key]);
  return (
    <div className="w-[26rem] min-w-0 shrink-0 max-md:-order-1 max-md:w-full md:overflow-y-auto">
      <div className="mb-1 flex items-center gap-2">
        <h3 className="font-semibold">{PAPER_FACTS[name].name}, preview</h3>
        <button type="button" className="btn btn-ghost btn-sm ml-auto" onClick={onClose}>
          Close preview
        </button>
      </div>
      <p role="status" className="text-faint text-sm">
        {said}
      </p>
      <div ref={pages} />
    </div>
  );
}
