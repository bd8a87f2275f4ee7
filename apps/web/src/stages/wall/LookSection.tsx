import { Printer } from 'lucide-react';
import { memo } from 'react';
import { Link, useParams } from 'react-router';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { type ViewId, VIEWS } from './views.tsx';

interface LookSectionProps {
  readonly view: ViewId;
  readonly onView: (view: ViewId) => void;
  readonly showLabels: boolean;
  readonly onLabels: (show: boolean) => void;
}

/** Ways of looking at the wall; nothing that lies on it changes them. */
export const LookSection = memo(function LookSection({
  view,
  onView,
  showLabels,
  onLabels,
}: LookSectionProps) {
  const { id } = useParams();
  return (
    <Section
      title="Look at it"
      action={
        <Link to={`/quilts/${id}/labels`}>
          <Printer size={15} aria-hidden style={{ verticalAlign: '-2px' }} /> Labels to print
        </Link>
      }
    >
      <ChoiceField
        label="View"
        labelled
        value={view}
        choices={[...VIEWS]}
        onChange={(next) => onView(next as ViewId)}
      />
      <SwitchField label="Row and place on every block" value={showLabels} onChange={onLabels} />
    </Section>
  );
});
