import { vinInText } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { FilePicker } from '../../ui/FilePicker';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { askBarcodes } from '../../workers/barcodes';

/** The VIN from a photo of its bar code: on the door frame, the windscreen or the papers. */
export function VinPhoto({ onVin }: { readonly onVin: (vin: string) => void }) {
  const [said, setSaid] = useState<string>();
  const [busy, setBusy] = useState(false);
  const read = async (file: File): Promise<void> => {
    setBusy(true);
    setSaid('Looking for a bar code…');
    try {
      const vin = vinInText(await askBarcodes(file));
      setSaid(vin === undefined ? NONE : `Read ${vin}. Compare it with the print beside the code.`);
      if (vin !== undefined) onVin(vin);
    } catch {
      // No picture, or none that the reader opens: what can be done about it is the same.
      setSaid(NONE);
    } finally {
      setBusy(false);
    }
  };
  return (
    <View style={styles.stack}>
      <FilePicker
        label="VIN from a photo of its bar code"
        accept="image/*"
        camera
        testID="vin-photo"
        disabled={busy}
        onFile={read}
      />
      {said !== undefined && (
        <View role="status">
          <Words kind="small" testID="vin-said">
            {said}
          </Words>
        </View>
      )}
    </View>
  );
}

const NONE =
  'No VIN found on that picture. Hold the phone level, with white round the code, or type it.';

const styles = StyleSheet.create({ stack: { gap: SPACE.xs } });
