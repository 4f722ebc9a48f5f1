import { lazy, memo, type ReactNode, Suspense, useState } from "react";
import type { ReachTerm } from "@/core/reach";
import { useSide } from "@/features/dealer-side/side-state";
import { useUntilPressed } from "@/features/focus/use-until-pressed";
import { useFrame } from "../desk/desk-context";
import { useLater } from "../desk/use-later";
import type { View } from "../desk/views";
import { drawnOf } from "../kinds/desks";
import type { MapChoice } from "../map/choice";
import { KindOfDeal } from "../structure/KindOfDeal";
import { ViewBar } from "./ViewBar";

/** What each view is loaded with: when it is opened, or a moment before. */
const LOADS = {
  repayment: () => import("../repayment/Repayment"),
  history: () => import("../history/History"),
  reach: () => import("../reach/Reach"),
  map: () => import("../map/PaymentMap"),
  rates: () => import("../programs/Programs"),
  howLong: () => import("../horizon/HowLong"),
  lineUp: () => import("../line-up/LineUp"),
  who: () => import("../who/CustomerAndVehicle"),
  match: () => import("../match/MatchTheirs"),
};

/** The views that stand in the place of structure, plan and answer. */
const IN_PLACE: ReadonlySet<View> = new Set(["history", "lineUp", "repayment", "howLong", "match"]);

/** What cannot be loaded now is tried again when it is opened. */
const loadAhead = (view: View) => {
  if (view !== "desk") LOADS[view]().catch(() => {});
};

const OptionStrip = lazy(() =>
  import("../options/many-options").then(({ OptionStrip: strip }) => ({ default: strip })),
);
// Few deals have notes.
const NotesCard = lazy(() => import("./NotesCard").then(({ NotesCard: notes }) => ({ default: notes })));
const Repayment = lazy(() => LOADS.repayment().then(({ Repayment: repayment }) => ({ default: repayment })));
const History = lazy(() => LOADS.history().then(({ History: history }) => ({ default: history })));
const LineUp = lazy(() => LOADS.lineUp().then(({ LineUp: lineUp }) => ({ default: lineUp })));
const Reach = lazy(() => LOADS.reach().then(({ Reach: reach }) => ({ default: reach })));
const Programs = lazy(() => LOADS.rates().then(({ Programs: programs }) => ({ default: programs })));
const HowLong = lazy(() => LOADS.howLong().then(({ HowLong: howLong }) => ({ default: howLong })));
const MatchTheirs = lazy(() => LOADS.match().then(({ MatchTheirs: match }) => ({ default: match })));
const PaymentMap = lazy(() => LOADS.map().then(({ PaymentMap: map }) => ({ default: map })));
const DealerSide = lazy(() =>
  import("../dealer/DealerSide").then(({ DealerSide: side }) => ({ default: side })),
);
const PlaceLimits = lazy(() =>
  import("../programs/PlaceLimits").then(({ PlaceLimits: limits }) => ({ default: limits })),
);
const CustomerAndVehicle = lazy(() => LOADS.who().then(({ CustomerAndVehicle: who }) => ({ default: who })));
const opened = (part: ReactNode) => (
  <Suspense fallback={<p className="p-4 text-faint">Opening …</p>}>{part}</Suspense>
);

/** The options and the views of the deal, which stand above what is looked at. */
export const DeskBars = memo(function DeskBars({
  isOpen,
}: {
  /** On a narrow screen: whether all of them are shown. */ isOpen: boolean;
}) {
  const { count } = useFrame();
  return (
    <>
      {count > 1 && (
        <div className={`mb-2 min-w-0 [grid-area:strip] ${isOpen ? "" : "max-md:hidden"}`}>
          <Suspense fallback={<div className="h-14" />}>
            <OptionStrip />
          </Suspense>
        </div>
      )}
      <div className="mb-2 min-w-0 [grid-area:views] print:hidden">
        <ViewBar onNear={loadAhead} isOpen={isOpen} />
      </div>
    </>
  );
});

/** The open option in the view that is looked at: what is typed to the left, what is answered to the right. */
export const DeskBody = memo(function DeskBody({ dealId, fileName }: { dealId: string; fileName: string }) {
  const { heading, kind, view, house } = useFrame();
  const [mapChoice, setMapChoice] = useState<MapChoice | null>(null);
  const [terms, setTerms] = useState<readonly ReachTerm[] | null>(null);
  const { Structure, Plan, Answer } = drawnOf(kind);
  const notes = useUntilPressed(heading.notes);
  const isSideOpen = useSide();
  const isLater = useLater();
  const answer = { fileName, isWhole: view === "desk" && !isSideOpen };
  return (
    <div className="flex min-h-0 min-w-0 flex-col gap-2 [grid-area:body]">
      {notes !== undefined && (
        <Suspense fallback={null}>
          <NotesCard />
        </Suspense>
      )}
      {view === "history" && opened(<History dealId={dealId} />)}
      {view === "lineUp" && opened(<LineUp dealId={dealId} />)}
      {view === "howLong" && opened(<HowLong />)}
      {view === "match" && opened(<MatchTheirs />)}
      {view === "repayment" && opened(<Repayment fileName={fileName} />)}
      {!IN_PLACE.has(view) && (
        <div className="flex min-h-0 flex-1 flex-col gap-3 lg:flex-row">
          <div className="card-paper shrink-0 max-lg:order-[-1] lg:w-[27rem] lg:self-start lg:overflow-auto lg:max-h-full">
            {opened(<Structure />)}
            {opened(<Plan />)}
            <div className="px-4 pb-2 print:hidden">
              <KindOfDeal />
            </div>
          </div>
          <div className="flex min-h-0 min-w-0 flex-1 flex-col gap-3 max-lg:contents lg:overflow-auto">
            {opened(<Answer {...answer} />)}
            {isLater && house.limits && (
              <Suspense fallback={null}>
                <PlaceLimits />
              </Suspense>
            )}
            {view === "reach" && opened(<Reach terms={terms} onTerms={setTerms} />)}
            {view === "rates" && opened(<Programs dealId={dealId} />)}
            {isSideOpen && opened(<DealerSide dealId={dealId} />)}
            {view === "who" && opened(<CustomerAndVehicle dealId={dealId} />)}
            {view === "map" && opened(<PaymentMap choice={mapChoice} onChoice={setMapChoice} />)}
          </div>
        </div>
      )}
    </div>
  );
});
