/** The views of Weigh, by what the address calls them. */
export const views = {
  pages: 'Pages',
  list: 'Keywords',
  map: 'Map',
  groups: 'Groups',
  ours: 'Our pages',
  shortlist: 'Shortlist',
  'page-one': 'Page one',
  model: 'Model',
};

export type View = keyof typeof views;

const isView = (name: string): name is View => Object.hasOwn(views, name);

/** The view that an address names: by its name or the word on the screen, else the first. */
export function viewOf(name: string | null): View {
  if (name === null || isView(name)) {
    return name ?? 'pages';
  }
  const named = Object.keys(views).find((view) => isView(view) && views[view].toLowerCase() === name.toLowerCase());
  return named !== undefined && isView(named) ? named : 'pages';
}
