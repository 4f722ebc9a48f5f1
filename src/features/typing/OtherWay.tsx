type Props = { /** The figure as this place writes it. */ text: string; onTake: () => void };

/** Offers a figure that was typed as another place writes it. */
export function OtherWay({ text, onTake }: Props) {
  return (
    <button
      type="button"
      className="btn btn-xs"
      // A press that took the focus from the field would move what is pressed.
      onMouseDown={event => event.preventDefault()}
      onClick={onTake}
    >
      {text}?
    </button>
  );
}
