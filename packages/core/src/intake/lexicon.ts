import { parameterOfParts } from './captionParts';
import { OTHER_TONGUES } from './otherTongues';

/**
 * Drawing-office words for each parameter in English, German, French and Spanish, with their usual abbreviations.
 * Common practice: gathered from trade use, with no single source. Written without accents, points and capitals.
 */
const WORDS: Readonly<Record<string, string>> = {
  'office.name':
    'legal owner|practice|office|architect|architects|architect of record|prepared by|company|firm|design office|architekt|architekten|planverfasser|buro|entwurfsverfasser|entwurf und planung|architecte|architectes|bureau|maitre doeuvre|maitrise doeuvre|arquitecto|arquitectos|estudio|despacho|proyectista|verfasser|moe',
  'office.address': 'office address|practice address|buroanschrift|adresse du bureau|direccion del estudio',
  'office.phone': 'phone|telephone|tel|telefon|telefono',
  'project.name':
    'project|project name|project title|job|job name|job title|scheme|building|projekt|projektname|bauvorhaben|bauwerk|bv|objekt|projet|nom du projet|operation|affaire|proyecto|nombre del proyecto|obra|vorhaben|chantier|nom du chantier',
  'project.number':
    'our ref|our reference|project no|project number|project nr|proj no|proj number|project ref|job no|job number|job nr|commission no|contract no|projekt nr|projektnummer|projektnr|auftrag nr|auftragsnummer|auftragsnr|no projet|no de projet|numero de projet|no affaire|numero daffaire|no de laffaire|n proyecto|no proyecto|numero de proyecto|num proyecto|expediente|no expediente|no daffaire|n daffaire',
  'project.address':
    'project address|site|site address|location|bauort|standort|baugrundstuck|adresse|adresse du projet|lieu|situation|emplazamiento|direccion|ubicacion|situacion|ort|grundstuck|bauadresse',
  'project.client':
    'client|owner|client name|employer|developer|customer|bauherr|bauherrin|bauherrschaft|auftraggeber|auftraggeberin|ag|maitre douvrage|maitre de louvrage|maitrise douvrage|cliente|propietario|promotor|promotora|propiedad|moa',
  'project.clientAddress': 'client address|owner address|anschrift bauherr|adresse du client|direccion del cliente',
  'project.phase': 'phase|stage|work stage|project phase|leistungsphase|lph|planungsphase|fase|etapa',
  'project.originator': 'originator|originator code|emetteur|ersteller|emisor',
  'sheet.number':
    'sheet|sheet no|sheet number|sheet nr|sht|sht no|sh no|drawing no|drawing number|drawing nr|drg no|dwg no|dwg number|identification number|ident no|document no|document number|plan no|plan number|plannummer|plan nr|plannr|blatt|blatt nr|blattnr|blattnummer|zeichnung nr|zeichnungsnummer|zeichnungsnr|zeichnungs nr|zchng nr|no de plan|no plan|numero de plan|numero du plan|plan n|folio|feuille|feuille no|no de feuille|planche|planche no|no dessin|plano no|no plano|n plano|no de plano|n de plano|numero de plano|no de hoja|numero de hoja|num plano|hoja|hoja no|lamina|lamina no|no de lamina',
  'sheet.title':
    'title|sheet title|sheet name|drawing|drawing title|drawing name|dwg title|drg title|plan title|description of drawing|contents|content|subject|titel|blatttitel|plantitel|planinhalt|inhalt|bezeichnung|benennung|zeichnung|darstellung|planbezeichnung|titre|titre du plan|designation|objet|contenu|intitule|titulo|titulo del plano|contenido|nombre del plano|plano|denominacion|descripcion',
  'sheet.subtitle': 'subtitle|supplementary title|sub title|untertitel|zusatztitel|sous titre|subtitulo',
  'sheet.discipline': 'discipline|trade|gewerk|fachbereich|lot|corps detat|disciplina|especialidad',
  'sheet.kind':
    'document type|drawing type|sheet type|type of document|planart|dokumentart|type de document|tipo de documento|tipo de plano',
  'sheet.drawnBy':
    'drawn|drawn by|drn|drn by|dr|dr by|dwn|dwn by|draft|drafted by|drafted|creator|created by|author|gezeichnet|gez|gez von|gezeichnet von|ersteller|erstellt|erstellt von|erstellt durch|bearbeitet|bearb|bearbeiter|dessine|dessine par|dess|dess par|dessinateur|etabli par|dibujado|dibujado por|dib|dib por|dibujo|delineado|delineante|draughtsman|draftsman|drafter|sachbearbeiter|sachbearbeiterin|zeichner|zeichnerin',
  'sheet.designedBy':
    'designed|designed by|des|des by|dsgn|dsgn by|design|entworfen|entw|entwurf|concu par|conception|conçu|disenado|disenado por|diseno|proyectado',
  'sheet.checkedBy':
    'checked|checked by|chk|chk by|chkd|chkd by|ckd|ckd by|chd|reviewed|reviewed by|gepruft|gepr|gepruft von|gepruft durch|geprueft|verifie|verifie par|verif|verif par|controle|controle par|revisado|revisado por|rev por|comprobado|comprobado por|comp por|verificado',
  'sheet.approvedBy':
    'approved|approved by|app|app by|appd|appd by|apvd|apprd|authorised|authorized|authorised by|approval person|freigegeben|freigegeben von|freig|freigabe|genehmigt|genehmigt durch|approuve|approuve par|appr|appr par|valide par|aprobado|aprobado por|aprob|vo bo',
  'sheet.date':
    'date|dated|drawing date|sheet date|date of issue|issue date|date drawn|datum|zeichnungsdatum|erstellungsdatum|ausgabedatum|date demission|date du plan|fecha|fecha de emision|planstand|date de creation|fecha de dibujo',
  'sheet.status':
    'status|document status|suitability|purpose of issue|dokumentstatus|planstatus|statut|etat|estado|estatus',
  'sheet.notes':
    'notes|note|general notes|drawing notes|remarks|hinweise|hinweis|bemerkungen|anmerkungen|allgemeine hinweise|remarques|notas|observaciones|notas generales',
  'sheet.scale':
    'scale|scales|scale at a1|scale a1|scale at a3|scale at full size|massstab|mst|m|masstab|echelle|echelles|ech|escala|escalas|esc',
  'sheet.size': 'size|paper size|sheet size|format|papierformat|blattgrosse|blattformat|formato|tamano|format papier',
  'sheet.revision':
    'rev|revn|rev no|revision|revision no|revision index|rev nr|current revision|index|indice|ind|anderungsindex|aenderungsindex|revisionsindex|indice de revision|modif|revision n|rev n|edicion',
  'sheet.revisionDate': 'revision date|rev date|datum revision|anderungsdatum|date de revision|fecha de revision',
  'sheet.position': 'page|page number|sheet of|seite|pagina',
  'sheet.fileName':
    'file|file name|filename|file no|file ref|cad file|cad file name|dwg file|path|datei|dateiname|fichier|nom de fichier|nom du fichier|archivo|nombre de archivo|fichero',
  'sheet.issuePurpose': 'purpose|issued for|reason for issue|verwendungszweck|emis pour|emitido para',
  'set.count': 'number of sheets|no of sheets|total sheets|anzahl blatter|nombre de feuilles|numero de hojas',
};

/** Headings of tables by kind, written the same way. */
const TABLE_WORDS: Readonly<Record<'revisions' | 'index' | 'issues' | 'areas', string>> = {
  revisions:
    'rev|no|nr|index|indice|ind|mark|revision|revisions|rev no|symbol|description|details|amendment|amendments|change|modification|modifications|date|by|chk|app|zone|anderung|aenderung|art der anderung|datum|name|gepruft|nature|objet|designation|par|fecha|descripcion|modificacion|por',
  index: 'sheet|sheet no|sheet number|sheet title|drawing no|title|drawing title|blatt|planche|titre|lamina|titulo',
  issues: 'issue|issued|issue no|issue date|issued for|purpose|issued to|recipient|emission|emis|emision|ausgabe',
  areas:
    'area|areas|room|room name|room no|space|net area|gross area|flache|raum|surface|local|superficie|local no|recinto',
};

/**
 * A text as the lexicon writes it: small letters without accents, points, colons, numbering before it and room between its
 * letters.
 */
export function normalCaption(text: string): string {
  // "P R O J E C T" is one word; two words set so have more room between them.
  const closed = /^(\S )+\S$/.test(text.trim().replace(/ {2,}/g, ' '))
    ? text
        .trim()
        .replace(/ {2,}/g, '\u0000')
        .replace(/ /g, '')
        .replace(/\u0000/g, ' ')
    : text;
  return closed
    .replace(/^\s*(\(\d{1,2}\)|\d{1,2}[.)])\s*(?=\D)/, '')
    .replace(/\(s\)/gi, '')
    .replace(/#/g, ' no ')
    .replace(/œ/gi, 'oe')
    .replace(/æ/gi, 'ae')
    .replace(/ø/gi, 'o')
    .replace(/ł/gi, 'l')
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/ß/g, 'ss')
    .replace(/n\s*[.]?\s*[º°ª]|№/gi, ' no ')
    .replace(/[º°ª]/g, 'o')
    .toLowerCase()
    .replace(/['’`´]/g, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();
}

/** No caption has more signs than this; whatever brackets a longer text has, nobody looks into them. */
const LONGEST = 80;
/** Spanish for "designed", which without its accent is "project". */
const DESIGNED = /^proyectó[.:]?$/iu;

const byWords = new Map<string, string>();
const byTag = new Map<string, string>();
for (const [key, words] of [...Object.entries(WORDS), ...Object.entries(OTHER_TONGUES)]) {
  for (const phrase of words.split('|')) {
    const normal = normalCaption(phrase);
    if (!byWords.has(normal)) byWords.set(normal, key);
    const tag = normal.replace(/ /g, '');
    if (!byTag.has(tag)) byTag.set(tag, key);
  }
}

/**
 * The parameter that a caption asks for, or undefined when the lexicon does not know it.
 * @param own what an office has taught, which counts before everything else
 */
export function parameterOfCaption(text: string, own: Readonly<Record<string, string>> = {}): string | undefined {
  const normal = normalCaption(text);
  const known =
    (Object.hasOwn(own, normal) ? own[normal] : undefined) ??
    (DESIGNED.test(text.trim()) ? 'sheet.designedBy' : undefined) ??
    byWords.get(normal) ??
    byWords.get(normal.replace(/ (no|nr|n|number)$/, ' no'));
  if (known) return known;
  // How it is to be written, or for which sheet it counts: "Date (dd/mm/yy)".
  const bare = text.length > LONGEST ? text : text.replace(/\s*\([^()]*\)\s*[:.]?\s*$/, '');
  if (bare !== text && bare.trim() !== '') {
    const meant = parameterOfCaption(bare, own);
    if (meant) return meant;
  }
  // Two languages side by side: "Gezeichnet / Drawn".
  for (const half of text.split(/[/|]/)) {
    const part = half === text ? undefined : byWords.get(normalCaption(half));
    if (part) return part;
  }
  return parameterOfParts(normal);
}

/** The parameter that an attribute's tag stands for: DRAWN_BY, DRAWNBY, SHEET-NO and TITLE_LINE_2 all count. */
export function parameterOfTag(tag: string): string | undefined {
  const normal = normalCaption(tag);
  const words = normal
    .replace(/\b(line|zeile|ligne|linea)\b|\d+/g, ' ')
    .replace(/ +/g, ' ')
    .trim();
  return byTag.get(normal.replace(/ /g, '')) ?? (words === '' ? undefined : parameterOfCaption(words));
}

const tableWords = Object.entries(TABLE_WORDS).map(
  ([kind, words]) => [kind as keyof typeof TABLE_WORDS, new Set(words.split('|').map(normalCaption))] as const,
);

/** What kind of table has these headings; undefined when fewer than two of them are known to any. */
export function tableKind(headings: readonly string[]): keyof typeof TABLE_WORDS | undefined {
  let best: keyof typeof TABLE_WORDS | undefined;
  let most = 1;
  for (const [kind, words] of tableWords) {
    const known = headings.filter((heading) => words.has(normalCaption(heading))).length;
    if (known > most) [best, most] = [kind, known];
  }
  return best;
}
