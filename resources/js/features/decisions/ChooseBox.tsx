/** The list itself hears the press, and keeps the keys: the box takes no focus, as its place goes to another row when the list scrolls. */
export function ChooseBox({ name, isChosen }: { name: string; isChosen: boolean }) {
  return (
    <input
      type="checkbox"
      data-choose
      tabIndex={-1}
      aria-label={`Select ${name}`}
      checked={isChosen}
      readOnly
      onMouseDown={(event) => event.preventDefault()}
    />
  );
}
