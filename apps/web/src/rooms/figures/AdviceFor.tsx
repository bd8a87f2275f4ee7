import { useAppSelector } from '../../state/hooks.ts';
import { Advice } from '../../design/controls/fieldStyles.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { selectQuilt } from '../../state/selectors.ts';

/** What is worth knowing about the field at this place in the plan, right beside it. */
export function AdviceFor({ path }: { path: string }) {
  const { advice } = useAppSelector(selectQuilt);
  return advice
    .filter((a) => a.path.join('.') === path)
    .map((a) => (
      <Advice key={a.message} role="note">
        <Lengths text={a.message} />
      </Advice>
    ));
}
