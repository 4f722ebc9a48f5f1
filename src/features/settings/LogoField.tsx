import { useId, useState } from "react";
import { type HousePapers, LARGEST_LOGO } from "@/exchange/settings";
import { logoAddress, settingsApi } from "@/features/api/settings";

type Props = { logo: HousePapers["logo"]; onChange: (logo: HousePapers["logo"] | undefined) => void };

/** The picture that stands on papers: sent as it is picked, so that what is no picture is said at once. */
export function LogoField({ logo, onChange }: Props) {
  const id = useId();
  const [problem, setProblem] = useState("");
  const pick = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > LARGEST_LOGO) {
      setProblem(
        `A logo has at most ${LARGEST_LOGO / 1000} kB; this file has ${Math.ceil(file.size / 1000)}.`,
      );
      return;
    }
    const answer = await settingsApi.keepLogo(file);
    setProblem(
      answer.kind === "done"
        ? ""
        : answer.kind === "away"
          ? "Not kept: the server is away."
          : answer.sentence,
    );
    if (answer.kind === "done") onChange(answer.value);
  };
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-faint text-sm">
        Logo (PNG or JPEG, up to {LARGEST_LOGO / 1000} kB)
      </label>
      <div className="flex flex-wrap items-center gap-3">
        {logo && "sha256" in logo && (
          // biome-ignore lint/performance/noImgElement: it is small as it is, and the house's own
          <img
            src={logoAddress(logo.sha256)}
            alt="Logo of the house"
            className="max-h-12 max-w-40 bg-white"
          />
        )}
        <input
          id={id}
          type="file"
          accept="image/png,image/jpeg"
          className="text-sm"
          aria-invalid={problem !== ""}
          aria-describedby={problem ? `${id}-error` : undefined}
          onChange={({ target }) => void pick(target.files?.[0])}
        />
        {logo && (
          <button
            type="button"
            className="min-h-6 cursor-pointer text-primary text-sm underline"
            onClick={() => onChange(undefined)}
          >
            Remove logo
          </button>
        )}
      </div>
      {problem && (
        <p id={`${id}-error`} role="alert" className="mt-0.5 text-error text-sm">
          {problem}
        </p>
      )}
    </div>
  );
}
