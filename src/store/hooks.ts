import { useDispatch, useSelector, useStore } from 'react-redux';
import type { AppStore, RootState } from './store';

export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
export const useAppStore = useStore.withTypes<AppStore>();
