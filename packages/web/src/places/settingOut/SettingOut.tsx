import { useEffect } from 'react';
import { shallowEqual } from 'react-redux';
import { useParams } from 'react-router';
import { api, faultOf } from '../../app/api';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { Failed, Loading } from '../../app/states';
import { Bench } from './bench/Bench';
import { opened } from './opened';

/** Loads a design into the one place where it is edited. A design with unsaved edits is found as it was left. */
export default function SettingOut() {
  const { id = '' } = useParams();
  const dispatch = useAppDispatch();
  // The current data only: what the last id answered must never be opened under this one.
  const found = api.useDesignQuery(id);
  const { currentData: data } = found;
  const standard = api.useStandardAtQuery(data?.standard ?? null, { skip: !data });
  const state = useAppSelector(
    ({ settingOut: { id: open, present, saved, version } }) => ({ id: open, present, saved, version }),
    shallowEqual,
  );
  const unsaved = state.id === id && state.present !== state.saved;
  const outdated = data !== undefined && (state.id !== id || (!unsaved && data.version > state.version));

  // The document on the server becomes the edited one when it is first seen, or newer and nothing would be lost.
  useEffect(() => {
    if (data && outdated) dispatch(opened({ id, version: data.version, design: data.document }));
  }, [data, outdated, id, dispatch]);

  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  const standardFault = faultOf(standard);
  if (standardFault) return <Failed error={standardFault} retry={() => void standard.refetch()} />;
  // While the design goes over to another revision of the standard, it is shown by the one it had.
  const by = standard.currentData ?? standard.data;
  if (!by || state.id !== id || !state.present) return <Loading what="the design" />;
  return <Bench id={id} design={state.present} standard={by.standard} />;
}
