import { ShopScreen } from '../../features/shop/ShopScreen';

export default ShopScreen;
