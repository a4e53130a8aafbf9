import { skipToken } from '@reduxjs/toolkit/query';
import type { Project } from '@mendrel/contract';
import { api, faultOf } from '../../app/api';
import { useTypefaces } from '../../app/typefaces';
import { useDrawnSheets } from './sheetDrawings';

/**
 * A project with everything its sheets are drawn from, and the sheets drawn. Desk, register and Output tell a sheet's state
 * from this, so that none of them calls fitting what another one calls a conflict.
 */
export function useDrawnProject(project: Project | undefined) {
  const sheets = api.useSheetsQuery(project?.id ?? skipToken);
  const office = api.useOfficeQuery();
  const design = api.useDesignAtQuery(
    project?.designId ? { id: project.designId, number: project.designRevision } : skipToken,
  );
  const standard = api.useStandardAtQuery(project ? project.standard : skipToken);
  const typefaces = useTypefaces();
  const document = project?.designId ? design.currentData?.document : undefined;
  const from = {
    design: document,
    standard: standard.currentData?.standard,
    office: office.data?.values,
    project: project?.values,
  };
  const drawn = useDrawnSheets(from, sheets.currentData, typefaces);
  const queries = [sheets, office, standard, design];
  return {
    sheets: sheets.currentData,
    office: office.data,
    standard: standard.currentData?.standard,
    design: document,
    drawn,
    fault: queries.map(faultOf).find((each) => each !== undefined),
    retry: () => {
      for (const each of queries) if (!each.isUninitialized) void each.refetch();
    },
  };
}
