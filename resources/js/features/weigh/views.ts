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
