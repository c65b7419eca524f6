import type { Mark } from '../../api/schema';
import type { Column } from '../../shared/Bench';
import { MarkSign } from './MarkSign';

/** The column of marks that every list of keywords begins with. */
export function markColumn<Row extends { mark: Mark | null }>(): Column<Row> {
  return {
    key: 'mark',
    sort: 'mark',
    heading: <MarkSign mark="shortlisted" />,
    name: 'Mark',
    label: 'Mark',
    track: '40px',
    about: { meaning: 'Shortlisted or set aside.', unit: '', source: 'decided by people' },
    cell: (row) => <MarkSign mark={row.mark} />,
  };
}
