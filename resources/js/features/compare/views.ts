/** The views of Compare, by what the address calls them. */
export const views = { keywords: 'Keywords', pages: 'Pages', movement: 'Movement', 'page-one': 'Page one', advertising: 'Advertising' };
