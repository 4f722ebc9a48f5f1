"use client";

import { FileDown, FileUp } from "lucide-react";
import { type Dispatch, type ReactNode, useCallback, useEffect, useMemo, useReducer } from "react";
import { useDropzone } from "react-dropzone";
import { notationOf } from "@/exchange/notation";
import type { Settings } from "@/exchange/settings";
import { readJson } from "@/exchange/text";
import { readTextFile } from "@/features/api/read-text-file";
import { settingsToFile } from "@/features/api/settings";
import type { OptionAction } from "@/features/deal/option";
import { OptionProvider } from "@/features/deal/option/option-context";
import { saveFile } from "@/features/figures/save-file";
import { notify } from "@/features/notices/notify";
import { useMay } from "@/features/people/me-context";
import { SECTIONS, type Section } from "@/features/shell/settings-sections";
import { THEME_OF } from "@/features/shell/themes";
import { useAskBeforeLeaving } from "@/features/typing/ask-before-leaving";
import type { KeptCopies, SettingsReply } from "@/server/contract";
import { BackupsCard } from "./BackupsCard";
import { CurvesCard } from "./CurvesCard";
import { DefaultPlan } from "./DefaultPlan";
import { HouseCard } from "./HouseCard";
import { LimitsCard } from "./LimitsCard";
import { PapersCard } from "./PapersCard";
import { PeopleRulesCard } from "./PeopleRulesCard";
import { SettingsStatusLine } from "./SettingsStatusLine";
import { isUnreadable, openSettingsState, settingsOf, settingsReducer } from "./settings-state";
import { TaxProfiles } from "./TaxProfiles";
import { TermsCard } from "./TermsCard";
import { UsualCharges } from "./UsualCharges";
import { UsualCosts } from "./UsualCosts";
import { useSettingsSave } from "./use-settings-save";

/** What the house has settled once: new deals start from a copy of it. */
export function SettingsScreen({ opened, kept }: { opened: SettingsReply; kept: KeptCopies | null }) {
  const mayChange = useMay("changeSettings");
  const [state, dispatch] = useReducer(settingsReducer, opened.settings, openSettingsState);
  const show = useCallback((settings: Settings) => dispatch({ type: "open", settings }), []);
  const settings = useMemo(() => settingsOf(state), [state]);
  const isUnread = isUnreadable(state);
  const saving = useSettingsSave(opened, settings, isUnread, show);
  const act: Dispatch<OptionAction> = useCallback(action => dispatch({ type: "usual", action }), []);
  const usual = useMemo(() => ({ option: state.usual, act }), [state.usual, act]);
  useAskBeforeLeaving(isUnread);
  const theme = THEME_OF[state.house.appearance];
  useEffect(() => {
    const { documentElement } = document;
    if (theme) documentElement.dataset.theme = theme;
    else delete documentElement.dataset.theme;
  }, [theme]);

  const bringIn = async (files: readonly File[]) => {
    const [file] = files;
    if (!file) return;
    const text = await readTextFile(file);
    const json = text.ok ? readJson(text.value) : text;
    if (json.ok) await saving.replaceBy(json.value);
    else notify.error(`${file.name}: ${json.sentence}`);
  };
  const drop = useDropzone({
    noClick: true,
    noKeyboard: true,
    disabled: !mayChange,
    multiple: false,
    onDrop: files => void bringIn(files),
  });

  const notation = notationOf(state.house.locale);
  const cards: Record<Section["id"], ReactNode> = {
    house: <HouseCard house={state.house} onChange={change => dispatch({ type: "house", change })} />,
    plan: <DefaultPlan />,
    terms: (
      <TermsCard
        terms={state.terms}
        locale={state.house.locale}
        onChange={terms => dispatch({ type: "terms", terms })}
      />
    ),
    limits: (
      <LimitsCard
        limits={state.limits}
        house={state.house}
        onChange={limits => dispatch({ type: "limits", limits })}
      />
    ),
    taxes: <TaxProfiles profiles={state.profiles} dispatch={dispatch} />,
    fees: <UsualCharges list="fees" />,
    extras: <UsualCharges list="extras" />,
    costs: (
      <UsualCosts
        extras={settings.extras ?? []}
        currency={state.house.currency}
        notation={notation}
        place={state.house.place}
      />
    ),
    worth: (
      <CurvesCard
        curves={state.curves}
        house={state.house}
        onChange={curves => dispatch({ type: "curves", curves })}
      />
    ),
    papers: (
      <PapersCard
        papers={state.papers}
        house={state.house}
        onChange={change => dispatch({ type: "papers", change })}
      />
    ),
    people: (
      <PeopleRulesCard
        rules={state.people}
        locale={state.house.locale}
        onChange={people => dispatch({ type: "people", people })}
      />
    ),
    backups: kept && <BackupsCard kept={kept} notation={notation} />,
  };

  return (
    <div
      {...drop.getRootProps({ role: undefined })}
      className="min-h-full p-4 md:px-6"
      data-testid="settings"
    >
      <input {...drop.getInputProps({ "aria-label": "Settings file to import" })} />
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="font-semibold text-2xl">Settings</h1>
        <SettingsStatusLine
          status={saving.status}
          unreadable={isUnread}
          onKeepMine={saving.keepMine}
          onTakeTheirs={saving.takeTheirs}
        />
        <button type="button" className="btn btn-sm ml-auto h-8.5" disabled={!mayChange} onClick={drop.open}>
          <FileUp size={16} aria-hidden="true" />
          Import settings
        </button>
        <button
          type="button"
          className="btn btn-sm h-8.5"
          onClick={async () => {
            const file = await settingsToFile(settings);
            saveFile("settings.json", "application/json", `${JSON.stringify(file, null, 2)}\n`);
          }}
        >
          <FileDown size={16} aria-hidden="true" />
          Export settings
        </button>
      </div>
      <p className="mb-3 text-faint">
        {mayChange
          ? "A new deal starts with a copy of what is settled here. A change moves no deal that is there already."
          : "What the house has settled. An administrator changes it."}
      </p>
      <div className="flex items-start gap-5">
        <nav aria-label="Sections of the settings" className="sticky top-4 w-36 shrink-0 max-lg:hidden">
          {SECTIONS.filter(({ id }) => cards[id]).map(({ id, name }) => (
            <a key={id} href={`#${id}`} className="block rounded-field px-2 py-1 hover:bg-base-200">
              {name}
            </a>
          ))}
        </nav>
        <OptionProvider value={usual}>
          <fieldset disabled={!mayChange} className="grid min-w-0 grow items-start gap-4 xl:grid-cols-2">
            {(["left", "right"] as const).map(column => (
              <div key={column} className="grid min-w-0 gap-4">
                {SECTIONS.filter(({ side }) => side === column).map(({ id }) => (
                  // A link that leads here is followed by the keyboard, too.
                  <div key={id} id={id} tabIndex={-1} className="min-w-0 scroll-mt-4 outline-none">
                    {cards[id]}
                  </div>
                ))}
              </div>
            ))}
          </fieldset>
        </OptionProvider>
      </div>
    </div>
  );
}
