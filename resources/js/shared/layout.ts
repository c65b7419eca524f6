import { measures } from '../theme/measures';

/**
 * How the parts of a stage stand together. On a narrow screen (a window of 640, or 1280 at twice the size) they stand below each other
 * and the page scrolls.
 */

/** What holds a list and the panels beside it. */
export const sideBySide = { flex: 1, minHeight: 0, display: 'flex', flexDirection: { xs: 'column', md: 'row' } } as const;

/** A list that scrolls by itself; on a narrow screen it takes most of the window. */
export const listHeight = { minHeight: 0, flex: { xs: 'none', md: 1 }, height: { xs: measures.list, md: 'auto' } } as const;

/** A panel to the left of a list, of a width; on a narrow screen above it and no higher than a third of the window. */
export const beforeList = (width: number) =>
  ({
    width: { xs: '100%', md: width },
    maxHeight: { xs: '34dvh', md: 'none' },
    overflowY: { xs: 'auto', md: 'visible' },
    flexShrink: 0,
    borderRight: { xs: 0, md: 1 },
    borderBottom: { xs: 1, md: 0 },
    borderColor: 'divider',
  }) as const;

/** A panel to the right of a list, which on a narrow screen lies over everything until it is closed. */
export const besideList = {
  // What is hidden from the eye stands in here and not somewhere on the page.
  position: { xs: 'fixed', md: 'relative' },
  inset: { xs: 0, md: 'auto' },
  zIndex: { xs: 'modal', md: 'auto' },
  bgcolor: 'background.default',
  flexShrink: 0,
  borderLeft: 1,
  borderColor: 'divider',
  overflowY: 'auto',
  scrollbarWidth: 'thin',
} as const;
