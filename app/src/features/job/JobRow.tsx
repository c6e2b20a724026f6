import type { JobSummary } from '@lucky-thread/contract';
import { PLACE_WORDS } from '@lucky-thread/core/vehicle';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { JobThread } from '../../ui/JobThread';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { dayWords } from '../../ui/days';
import { Words } from '../../ui/Words';
import { knotsOf, nextActionOf } from '../../work/phases';

/** Props of {@link JobRow}. */
export interface JobRowProps {
  /** The job that it is about. */
  readonly job: JobSummary;
  /** Now, by which its day is told. */
  readonly today: Date;
  /** Its content stands beside the list. */
  readonly chosen: boolean;
  /** Called to open it. */
  readonly onOpen: () => void;
}

/** A job in the list: which car, which device, its thread, what is next. */
export function JobRow({ job, today, chosen, onOpen }: JobRowProps) {
  const palette = usePalette();
  return (
    <View role="listitem">
      <TouchableRipple
        role="link"
        testID="job-row"
        aria-current={chosen}
        onPress={onOpen}
        style={[
          styles.row,
          { borderBottomColor: palette.line },
          chosen && { backgroundColor: palette.raised, borderLeftColor: palette.ink },
        ]}
      >
        <View style={styles.inside}>
          <Words kind="heading">{`${job.vehicleName}, ${job.year}`}</Words>
          <Words soft>
            {job.day === null || job.done
              ? job.deviceName
              : `${job.deviceName} · for ${dayWords(job.day, today)}`}
          </Words>
          {job.deferred.length > 0 && (
            <Words kind="small" testID="job-reminder">
              △ Left for later: {job.deferred.map((place) => PLACE_WORDS[place]).join(', ')}
            </Words>
          )}
          <View style={styles.state}>
            <JobThread knots={knotsOf(job)} />
            <Words kind="label" style={styles.next}>
              {nextActionOf(job)}
            </Words>
          </View>
        </View>
      </TouchableRipple>
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    borderBottomWidth: 1,
    borderLeftWidth: 4,
    borderLeftColor: 'transparent',
    paddingVertical: SPACE.m,
    paddingLeft: SPACE.s,
    marginLeft: -SPACE.m,
  },
  inside: { gap: 2 },
  state: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  next: { flex: 1 },
});
