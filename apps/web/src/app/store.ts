import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { planReducer } from '../quilt/planSlice.ts';
import { savingMiddleware } from '../quilt/saving.ts';
import { savingReducer } from '../quilt/savingSlice.ts';
import { viewReducer } from '../quilt/viewSlice.ts';
import { api } from './api.ts';

const reducer = combineReducers({
  plan: planReducer,
  saving: savingReducer,
  view: viewReducer,
  [api.reducerPath]: api.reducer,
});

export type RootState = ReturnType<typeof reducer>;

export const createStore = () =>
  configureStore({
    reducer,
    // Plans of thousands of blocks make the development checks slower than the work itself.
    middleware: (standard) =>
      standard({ serializableCheck: false, immutableCheck: false })
        .prepend(savingMiddleware.middleware)
        .concat(api.middleware),
  });

export type AppStore = ReturnType<typeof createStore>;
export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
