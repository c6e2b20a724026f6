import { useToolInputs } from '../../../sizing/useToolInputs';
import { ToolPage } from '../ToolPage';
import { OutputLoad } from './OutputLoad';
import { PhaseCheck } from './PhaseCheck';
import { PlugNumbers } from './PlugNumbers';

const DEFAULTS = { on: '4-4', least: '4', corners: 'four', cone: 'no', heard: '', wheel: 'left' };

/** Speakers: what hangs on one output, which one is the wrong way round, and how the plug numbers them. */
export function SpeakersTool() {
  const [inputs, set] = useToolInputs(DEFAULTS);
  return (
    <ToolPage tool="speakers">
      <OutputLoad
        on={inputs.on}
        least={inputs.least === '2' ? 2 : 4}
        onChange={({ on, least }) =>
          set({
            ...(on === undefined ? {} : { on }),
            ...(least === undefined ? {} : { least: String(least) }),
          })
        }
      />
      <PhaseCheck
        four={inputs.corners !== 'two'}
        coneSeen={inputs.cone === 'yes'}
        heard={inputs.heard}
        onChange={({ four, coneSeen, heard }) =>
          set({
            ...(four === undefined ? {} : { corners: four ? 'four' : 'two', heard: '' }),
            ...(coneSeen === undefined ? {} : { cone: coneSeen ? 'yes' : 'no' }),
            ...(heard === undefined ? {} : { heard }),
          })
        }
      />
      <PlugNumbers
        wheel={inputs.wheel === 'right' ? 'right' : 'left'}
        onWheel={(wheel) => set({ wheel })}
      />
    </ToolPage>
  );
}
