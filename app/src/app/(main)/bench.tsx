import { BenchScreen } from '../../features/bench/BenchScreen';

export default BenchScreen;
