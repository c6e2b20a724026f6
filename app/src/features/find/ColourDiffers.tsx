import type { WireColourCode } from '@lucky-thread/core/vehicle';
import type { JobContext } from '@lucky-thread/work';
import { memo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { SwatchPad } from '../../panel/SwatchPad';
import { ActionButton } from '../../ui/ActionButton';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { useJobChange } from '../../work/useJobChange';

/** A wire looks otherwise than it was entered: put right for this car by eye, base first, then the stripe. */
export const ColourDiffers = memo(function ColourDiffers(props: {
  readonly context: JobContext;
  readonly wireId: string;
}) {
  const { context, wireId } = props;
  const change = useJobChange(context.job);
  const [open, setOpen] = useState(false);
  const [base, setBase] = useState<WireColourCode>();
  const wire = context.job.harness.find((one) => one.id === wireId);
  if (wire === undefined) return null;
  if (!open)
    return (
      <ActionButton
        kind="quiet"
        label="Colour differs here…"
        testID="colour-differs"
        onPress={() => setOpen(true)}
      />
    );
  const keep = (colour: string): void => {
    change.setWires(
      context.job.harness.map((one) => (one.id === wireId ? { ...one, colour } : one)),
    );
    setOpen(false);
    setBase(undefined);
  };
  return (
    <View style={styles.stack} testID="colour-pad">
      <Words>
        {base === undefined
          ? 'What most of it looks like, on this car.'
          : `${base}, and its stripe?`}
      </Words>
      {base !== undefined && (
        <ActionButton label={`No stripe: ${base}`} testID="no-stripe" onPress={() => keep(base)} />
      )}
      <SwatchPad
        label={base === undefined ? 'Colour of the wire' : 'Colour of its stripe'}
        onPick={(code) => (base === undefined ? setBase(code) : keep(`${base}/${code}`))}
      />
      <Words kind="small" soft>
        Kept with who and when for this car. Where every car of the model has it so, put the place
        right on the vehicle’s page; where later years have it so, part the model there.
      </Words>
    </View>
  );
});

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
