import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { currentProjectReducer } from '../places/projects/currentProjectSlice';
import { settingOutReducer } from '../places/settingOut/settingOutSlice';
import { standardReducer } from '../places/standard/standardSlice';
import { api } from './api';

export const makeStore = () =>
  configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      settingOut: settingOutReducer,
      standard: standardReducer,
      currentProject: currentProjectReducer,
    },
    middleware: (defaults) =>
      // Designs and drawings are large and plain; walking them on every action costs more than it finds.
      defaults({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
  });

export type Store = ReturnType<typeof makeStore>;
export type RootState = ReturnType<Store['getState']>;
export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
