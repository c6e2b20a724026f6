import { useWindowDimensions } from 'react-native';
import { WIDE } from '../tokens';

/** Widths that a chart is drawn for, px: within a card of a phone, and within one of two beside each other. */
const WIDTHS = { phone: 360, wide: 540 } as const;

/** How wide a chart is drawn, so that its words stay as large as other words. */
export function useChartWidth(): number {
  return useWindowDimensions().width >= WIDE ? WIDTHS.wide : WIDTHS.phone;
}
