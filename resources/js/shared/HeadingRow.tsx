import { HeadingWords, sortOf, type About, type Sorting } from './Heading';

export interface TableHeading {
  name: string;
  about: About | undefined;
  /** Name to sort by; a column without one is not sorted. */
  sort?: string;
  startsAscending?: boolean;
}

/** An empty text stands over what needs no words, such as buttons. */
export type Headings = readonly ('' | TableHeading)[];

/** The first row of a table: what stands below each heading is said by the heading. */
export function HeadingRow({ headings, sorting }: { headings: Headings; sorting?: Sorting | undefined }) {
  return (
    <thead>
      <tr>
        {headings.map((heading, index) =>
          heading === '' ? (
            <td key={index} />
          ) : (
            <th key={index} scope="col" aria-sort={sortOf(heading.sort, sorting)}>
              <HeadingWords about={heading.about} sort={heading.sort} startsAscending={heading.startsAscending} sorting={sorting}>
                {heading.name}
              </HeadingWords>
            </th>
          ),
        )}
      </tr>
    </thead>
  );
}
