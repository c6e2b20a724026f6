import type { Verdict } from '@lucky-thread/core/identify';
import type { TypedPanel } from '@lucky-thread/core/vehicle/typed';
import { memo } from 'react';
import { View } from 'react-native';
import { FusePanel } from '../../panel/FusePanel';
import { Words } from '../../ui/Words';
import { panelMap } from './drafts/panelDraft';

/** Props of {@link PanelPreview}. */
export interface PanelPreviewProps {
  /** Tells it from others on the screen, for tests. */
  readonly id: string;
  /** As it stands on the screens. */
  readonly name: string;
  /** Where it is, in a phrase. */
  readonly location: string;
  /** Its slots as they were read. */
  readonly panel: TypedPanel;
  /** Id of the one that was touched last; undefined when none was. */
  readonly touchedId: string | undefined;
  /** The slot that another is pulled over. */
  readonly overId: string | undefined;
  /** Called with the id of the touched source. */
  readonly onTouch: (sourceId: string) => void;
}

const NO_VERDICTS: ReadonlyMap<string, Verdict> = new Map();
const NONE: ReadonlySet<string> = new Set();

/** The panel as it will be probed, with how much of it is there. */
export const PanelPreview = memo(function PanelPreview(props: PanelPreviewProps) {
  const { panel, touchedId, overId, onTouch, ...head } = props;
  const fitted = panel.slots.filter((slot) => slot.ratingA !== undefined).length;
  return (
    <View testID="panel-preview">
      <Words kind="small" soft>
        {`${panel.slots.length} positions, ${fitted} with a fuse. Numbers and places as on the lid? Touch one to change it.`}
      </Words>
      <FusePanel
        panel={panelMap(head, panel)}
        verdicts={NO_VERDICTS}
        selectedId={touchedId}
        wantedIds={overId === undefined ? NONE : new Set([overId])}
        loggedIds={NONE}
        onTouch={onTouch}
      />
    </View>
  );
});
