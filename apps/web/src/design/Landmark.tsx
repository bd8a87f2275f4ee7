import { type AriaLandmarkRole, useLandmark, useObjectRef } from 'react-aria';

/** Elements that are a landmark of themselves. */
const ELEMENTS = {
  banner: 'header',
  navigation: 'nav',
  main: 'main',
  complementary: 'aside',
} as const satisfies Partial<Record<AriaLandmarkRole, keyof React.JSX.IntrinsicElements>>;

interface LandmarkProps extends React.HTMLAttributes<HTMLElement> {
  readonly of: keyof typeof ELEMENTS;
  readonly ref?: React.Ref<HTMLElement>;
}

/** A part of the page that F6 goes to, where one was in it; style it with `styled(Landmark)`. */
export function Landmark({ of, ref: given, ...rest }: LandmarkProps) {
  const ref = useObjectRef(given);
  const label = rest['aria-label'];
  const { landmarkProps } = useLandmark({ role: of, ...(label && { 'aria-label': label }) }, ref);
  const Element = ELEMENTS[of] as 'main';
  // Its element says what it is; said as a role besides, it would be said twice.
  return <Element {...landmarkProps} {...rest} role={undefined} ref={ref} />;
}
