/**
 * Captions that are put together of drawing-office words: "No. de plano", "Auftrags-Nr.", "Dessin n°", "SCALE @ A1".
 * Common practice: stems gathered from trade use in English, German, French and Spanish. All of a caption has to be made of
 * such words; one word more, and it is somebody's text.
 */
const STEMS = {
  number: /^(no|nr|n|num|number|nummer|numero|nro|ref|reference|referenz|referencia|code|id|ident)$/,
  project:
    /^(project|proj|prj|job|scheme|projekte?s?|auftrags?|commission|contract|projet|affaire|dossier|proyecto|proy|expediente|obra|bauvorhabens?|objekte?s?|operation)$/,
  sheet:
    /^(sheets?|sht|drawings?|drg|dwg|plans?|plaene|blatt|zeichnungs?|zchng|planche|feuille|folio|dessin|planos?|lamina|hoja|documento?|doc|dok|dokument)$/,
  title:
    /^(title|name|titel|bezeichnung|benennung|inhalt|content|contents|titre|nom|intitule|designation|titulo|nombre|denominacion|contenido|description)$/,
  client:
    /^(clients?|owner|employer|customer|developer|bauherr(in|schaft)?|auftraggeber(in)?|cliente|propietario|propiedad|promotora?)$/,
  address:
    /^(address|location|site|anschrift|adresse|standort|bauort|lieu|direccion|emplazamiento|ubicacion|situacion)$/,
  date: /^(date|dated|datum|fecha)$/,
  issue: /^(issue|issued|emission|emis|ausgabe|emision|zeichnungs?|erstellungs?|creation|creacion|drawing|plan|plano)$/,
  scale: /^(scales?|mas{2,3}tab|mastab|mst|echelles?|ech|escalas?|esc)$/,
  size: /^(a[0-4]|full|size|original|format|formato|din|iso)$/,
  drawn:
    /^(drawn|drn|drwn|dwn|drafted|draughted|draftsman|gez|gezeichnet|zeichner|bearb|bearbeitet|bearbeiter|bearbeitung|erstellt|dess|dessine|dessinee?|dessinateur|trace|dibujo|dibujado|dibujante|dib|delineado|delineante|delineo|del|elaboro|elaborado|realise|realizado|realizo)$/,
  checked:
    /^(checked|checker|check|chk|chkd|ckd|chd|reviewed|reviewer|gepr|gepruft|geprueft|prufer|prufung|verifie|verifiee?|verif|verificateur|verifico|verificado|controle|controlee?|control|reviso|revisado|revisor|comprobado|comprobo|comp)$/,
  approved:
    /^(approved|approval|approver|apprd|appr|appd|app|apvd|authori[sz]ed|freigabe|freigegeben|freig|genehmigt|genehmigung|approuve|approuvee?|valide|validee?|validation|aprobo|aprobado|aprob|autorizo|autorizado|visto|bueno)$/,
  designed:
    /^(designed|designer|design|dsgn|des|entw|entworfen|entwurf|concu|conception|concepteur|diseno|disenado|proyectado|proyecto)$/,
  revision: /^(rev|revision|revisions?|revisions|index|indice|ind|anderungs?|aenderungs?|modif|modification|edicion)$/,
  status: /^(status|planstatus|dokumentstatus|statut|etat|estado|suitability|state)$/,
  phase: /^(phase|stage|leistungsphase|planungsphase|projektphase|lph|lp|fase|etapa)$/,
  notes:
    /^(notes?|remarks?|hinweise?|bemerkung(en)?|anmerkung(en)?|remarques?|notas?|observacion(es)?|general|allgemeine|generales?|generals)$/,
  file: /^(file|filename|datei|dateiname|dateipfad|pfad|fichier|archivo|fichero|cad|path|ruta|chemin)$/,
  filler:
    /^(of|de|du|des|la|le|les|l|d|del|el|los|the|by|par|por|von|durch|at|im|in|for|am|en|der|die|das|und|and|et|y|current|this)$/,
} as const;

type Stem = keyof typeof STEMS;

/** Compound words of German, taken apart where a number or name is asked for: "Auftragsnummer", "Plannr". */
const COMPOUND =
  /^(projekt|auftrags?|plan|blatt|zeichnungs?|dokument|anderungs?|revisions?)(nr|nummer|name|titel|bezeichnung|datum|inhalt|index|status)$/;

const ONLY_NAME = /^(name|nom|nombre)$/;

/** Words of a caption at most; more are a sentence. */
const MOST_WORDS = 6;

const stemsOf = (token: string): Stem[] => (Object.keys(STEMS) as Stem[]).filter((stem) => STEMS[stem].test(token));

/** The parameter that a caption put together of drawing-office words asks for; its words without accents, in small letters. */
export function parameterOfParts(normal: string): string | undefined {
  const tokens = normal.split(' ').flatMap((token) => {
    const parts = COMPOUND.exec(token);
    return parts ? [parts[1] ?? '', parts[2] ?? ''] : [token];
  });
  if (tokens.length === 0 || tokens.length > MOST_WORDS) return undefined;
  const found = new Set<Stem>();
  for (const token of tokens) {
    const stems = stemsOf(token);
    if (stems.length === 0) return undefined;
    for (const stem of stems) found.add(stem);
  }
  // "Name" by itself heads a column of people as often as a title.
  if (tokens.every((token) => ONLY_NAME.test(token))) return undefined;
  const has = (stem: Stem): boolean => found.has(stem);
  if (has('client')) return has('address') ? 'project.clientAddress' : has('number') ? undefined : 'project.client';
  if (has('scale')) return 'sheet.scale';
  if (has('date')) return has('revision') ? 'sheet.revisionDate' : 'sheet.date';
  if (has('revision') && !has('checked')) return 'sheet.revision';
  if (has('file')) return 'sheet.fileName';
  // "Gezeichnet am" asks when, not who.
  const when = tokens.at(-1) === 'am' || tokens.at(-1) === 'on' || tokens.at(-1) === 'le';
  // "Dibujado por" and "Drawn by" are people; "No. de dessin" is a number, and "Plano" by itself a title.
  const people = (['drawn', 'checked', 'approved', 'designed'] as const).filter(has);
  if (people.length === 1 && when) return people[0] === 'drawn' ? 'sheet.date' : undefined;
  if (
    people.length === 1 &&
    people[0] &&
    !has('number') &&
    !(people[0] === 'designed' && has('project') && tokens.length > 1)
  )
    return {
      drawn: 'sheet.drawnBy',
      checked: 'sheet.checkedBy',
      approved: 'sheet.approvedBy',
      designed: 'sheet.designedBy',
    }[people[0]];
  if (has('number')) return has('sheet') ? 'sheet.number' : has('project') ? 'project.number' : undefined;
  if (has('address')) return 'project.address';
  if (has('status')) return 'sheet.status';
  if (has('phase')) return 'project.phase';
  if (has('title')) return has('project') ? 'project.name' : 'sheet.title';
  if (has('notes')) return 'sheet.notes';
  if (has('project')) return 'project.name';
  return undefined;
}
