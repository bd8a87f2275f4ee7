import { numberOf } from '@lattice/core';
import { Lengths } from '../../design/Lengths.tsx';
import { Ticks } from '../../rooms/paper/Ticks.ts';
import { useSewing } from './useSewing.ts';

/** The sewing as one hands it on: the way, then a box a step. Each with its picture stands on a paper of its own. */
export function StepsOnPaper() {
  const heard = useSewing();
  if ('says' in heard) return <p>{heard.says}</p>;
  return (
    <section>
      <h2>Sewing steps: {heard.way.method.name.toLowerCase()}</h2>
      <Ticks>
        {heard.guide.map(({ id, title, seams, does }) => (
          <li key={id}>
            <span>
              <b>{title}</b>
              {seams.length > 1 && `, ${numberOf(seams.length, 'seam')}`}
              <small>
                <Lengths text={does.join(' ')} />
              </small>
            </span>
          </li>
        ))}
      </Ticks>
    </section>
  );
}
