import type { BenchSummary } from '../../api/schema';
import { whole } from '../../shared/format';
import { Empty } from '../../shared/Notice';
import { commonWording } from '../../shared/wording';

/** Which clause took the last row, and what those before it had left. */
export function NothingFits({ steps }: { steps: BenchSummary['steps'] }) {
  return (
    <Empty title={commonWording.noKeywordMatchesThisSentence}>
      {steps.map((step, index) => (
        <div key={index}>
          {step.keywords === 0 ? (
            <strong>
              <code>{step.clause}</code> removed the last ones.
            </strong>
          ) : (
            <>
              <code>{step.clause}</code> left {whole(step.keywords)}.
            </>
          )}
        </div>
      ))}
      {commonWording.removeAClauseFromTheSentenceAboveOr}
    </Empty>
  );
}
