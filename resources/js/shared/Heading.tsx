import Box from '@mui/material/Box';
import Tooltip from '@mui/material/Tooltip';
import type { ReactNode } from 'react';
import { focusRing, measures } from '../theme/measures';

/** What a heading explains of itself. */
export interface About {
  meaning: string;
  /** Empty where it has none. */
  unit: string;
  source: string;
}

/** What a list goes by now, and how it is asked for another order. */
export interface Sorting {
  by: string;
  dir: string;
  onChange: (by: string, dir: string) => void;
}

interface HeadingProps {
  children: ReactNode;
  about?: About | undefined;
  /** Name to sort by; without one the heading is no button. */
  sort?: string | undefined;
  startsAscending?: boolean | undefined;
  /** What it is called where it is drawn as a sign. */
  label?: string | undefined;
  sorting?: Sorting | undefined;
}

/** What `aria-sort` says of a heading; nothing where the list does not go by it. */
export function sortOf(sort: string | undefined, sorting: Sorting | undefined): 'ascending' | 'descending' | 'none' | undefined {
  if (sort === undefined || sorting === undefined) {
    return undefined;
  }
  return sorting.by !== sort ? 'none' : sorting.dir === 'asc' ? 'ascending' : 'descending';
}

/** The words of a heading: pressed they sort the list, on hover and focus they say what stands below, in which unit and whence. */
export function HeadingWords({ children, about, sort, startsAscending = false, label, sorting }: HeadingProps) {
  if (sort === undefined || sorting === undefined) {
    return (
      <Explained about={about} isButton={false}>
        {children}
      </Explained>
    );
  }
  const isSorted = sorting.by === sort;
  const next = isSorted ? (sorting.dir === 'desc' ? 'asc' : 'desc') : startsAscending ? 'asc' : 'desc';
  return (
    <Explained about={about} isButton>
      <Box
        component="button"
        type="button"
        aria-label={label}
        onClick={() => sorting.onChange(sort, next)}
        sx={{
          all: 'unset',
          cursor: 'pointer',
          ...(label === undefined ? {} : { display: 'inline-block', minWidth: 24, lineHeight: measures.target }),
          color: isSorted ? 'text.primary' : 'inherit',
          '&:focus-visible': focusRing,
        }}
      >
        {children}
        {isSorted ? (sorting.dir === 'asc' ? ' ↑' : ' ↓') : ''}
      </Box>
    </Explained>
  );
}

/** A heading that says what stands below it; it can be reached by Tab. */
function Explained({ about, isButton, children }: { about: About | undefined; isButton: boolean; children: ReactNode }) {
  if (about === undefined) {
    return children;
  }
  return (
    <Tooltip
      enterDelay={300}
      title={
        <>
          {about.meaning}
          {about.unit !== '' && <br />}
          {about.unit !== '' && `Unit: ${about.unit}.`}
          <br />
          {`Source: ${about.source}.`}
        </>
      }
    >
      <Box component="span" tabIndex={isButton ? undefined : 0}>
        {children}
      </Box>
    </Tooltip>
  );
}
