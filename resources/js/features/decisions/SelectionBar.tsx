import { BulkBar, type Figures } from './BulkBar';
import { staysWith } from './marks.logic';
import type { useDecisions } from './useDecisions';
import type { Selection } from './useSelection';

interface Props<Row> {
  selection: Selection<Row>;
  show: string;
  total: number;
  /** Of all that the list shows; null where they are not known. */
  sums: Figures | null;
  mayEdit: boolean;
  decisions: ReturnType<typeof useDecisions>;
}

/** The bar of what is chosen in a list, as long as something is; what leaves the list is chosen no longer. */
export function SelectionBar<Row extends Figures>({ selection, show, total, sums, mayEdit, decisions }: Props<Row>) {
  if (!selection.isAny || !mayEdit) {
    return null;
  }
  return (
    <BulkBar
      chosen={selection.rows}
      isAll={selection.isAll}
      total={total}
      sums={sums}
      onAll={selection.all}
      onNone={selection.none}
      onDecide={(decision) => {
        decisions.decide(selection.about, decision);
        if (decision.mark !== undefined && !staysWith(decision.mark, show)) {
          selection.none();
        }
      }}
    />
  );
}
