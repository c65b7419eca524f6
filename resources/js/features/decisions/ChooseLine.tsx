interface Props {
  name: string;
  isChosen: boolean;
  onFlip: () => void;
}

/** The box of a line in a plain table, reached by Tab and pressed by Space. */
export function ChooseLine({ name, isChosen, onFlip }: Props) {
  return <input type="checkbox" aria-label={`Select ${name}`} checked={isChosen} onChange={onFlip} />;
}
