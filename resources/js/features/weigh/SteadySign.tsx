import { percent } from '../../shared/format';

const frame = { display: 'inline-block', width: 40, height: 11, border: '1px solid currentColor', verticalAlign: '-1px' } as const;

interface Props {
  /** Share of the draws of random weights in which the place in the top stays; null while it is reckoned. */
  share: number | null;
  top: number;
}

/** How solid a place is: the fuller the box, the less it depends on the weights. */
export function SteadySign({ share, top }: Props) {
  if (share === null) {
    return <span>·</span>;
  }
  const words = share >= 0.8 ? 'a safe choice whatever the weights' : share >= 0.3 ? 'depends on the weights' : share > 0 ? 'in the top with few weights only' : 'not in the top with any weights drawn';
  const spelt = `In the top ${top} in ${percent(share)} of all draws of weights: ${words}.`;
  return (
    <span role="img" aria-label={spelt} title={spelt} style={frame}>
      <span style={{ display: 'block', height: '100%', width: `${100 * share}%`, background: 'currentColor' }} />
    </span>
  );
}
