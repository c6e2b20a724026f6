import { ChooseModel } from '../../../features/vehicles/ChooseModel';

/** All vehicle models. */
export default function ModelsRoute() {
  return <ChooseModel />;
}
