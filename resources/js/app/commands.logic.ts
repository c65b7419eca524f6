/** Something that the command box can do: go somewhere in the application. */
export interface Command {
  /** What tells it from the others, also the next time. */
  id: string;
  group: string;
  title: string;
  /** An address of the application, or of a file to be saved. */
  to: string;
  isFile?: boolean;
}

const most = 12;

function words(text: string): string[] {
  return text
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
}

/** How well a command fits what was typed: the place of its first fitting word, or null where a word typed is nowhere in it. */
function fit({ title, group }: Command, wanted: string[]): number | null {
  const text = `${title} ${group}`.toLowerCase();
  if (wanted.length === 0) {
    return 0;
  }
  const places = wanted.map((word) => text.indexOf(word));
  return places.some((place) => place < 0) ? null : Math.min(...places);
}

/** The commands that fit what was typed, those used last first, then those that begin with it; without a word typed, just those. */
export function fitting(commands: Command[], typed: string, used: string[]): Command[] {
  const wanted = words(typed);
  const recency = (command: Command) => {
    const place = used.indexOf(command.id);
    return place < 0 ? used.length : place;
  };
  return commands
    .flatMap((command, place) => {
      const fits = fit(command, wanted);
      return fits === null ? [] : [{ command, place, fits }];
    })
    .sort((a, b) => recency(a.command) - recency(b.command) || a.fits - b.fits || a.place - b.place)
    .slice(0, most)
    .map(({ command }) => command);
}

/** What was used, with one more at the front. */
export function usedWith(used: string[], id: string, keep = 20): string[] {
  return [id, ...used.filter((other) => other !== id)].slice(0, keep);
}
