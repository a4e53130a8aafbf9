/**
 * Drawing-office words in Italian, Dutch, Portuguese, Danish, Norwegian and Swedish, by parameter; from memory, with no single
 * source. Left out are words that rooms are called by, and what may be somebody's initials.
 */
export const OTHER_TONGUES: Readonly<Record<string, string>> = {
  'office.name':
    'progettista|studio tecnico|architetto|progettisti|architectenbureau|bureau architect|architectenburo|arquiteto|projetista|gabinete|arkitekt|arkitekter|arkitektkontor|tegnestue',
  'project.name':
    'progetto|nome progetto|oggetto dei lavori|intervento|commessa lavori|werk|projectnaam|project naam|bouwwerk|projeto|nome do projeto|designacao da obra|empreendimento|prosjekt|prosjektnavn|projektnamn|byggesag|byggeprosjekt',
  'project.number':
    'n progetto|numero progetto|codice progetto|commessa|n commessa|projectnummer|project nummer|werknummer|dossiernummer|numero do projeto|n do projeto|codigo do projeto|prosjektnr|prosjekt nr|prosjektnummer|projektnummer|sagsnr|sags nr|uppdragsnummer|oppdragsnr',
  'project.address':
    'indirizzo|ubicazione|localita|sito|locatie|projectadres|bouwplaats|morada|localizacao|endereco|byggeplass|beliggenhed|fastighet|adress',
  'project.client':
    'committente|proprieta|cliente committente|opdrachtgever|bouwheer|eigenaar|dono da obra|requerente|proprietario|byggherre|bygherre|oppdragsgiver|bestallare|tiltakshaver|uppdragsgivare',
  'project.phase':
    'fase progettuale|livello di progettazione|fase di progetto|projectfase|ontwerpfase|fase do projeto|fas|skede',
  'sheet.number':
    'tavola|tav|n tavola|numero tavola|elaborato n|numero elaborato|tekening|tekeningnummer|tekening nr|tekeningnr|bladnummer|blad|blad nr|bladnr|desenho n|n desenho|numero do desenho|folha|prancha|folha n|tegning nr|tegningsnr|tegningsnummer|tegn nr|ritningsnummer|ritning nr|ritn nr|tegningnr',
  'sheet.title':
    'titolo|titolo tavola|titolo elaborato|contenuto|oggetto|elaborato|titel tekening|onderwerp|omschrijving|tekeningtitel|titulo do desenho|conteudo|designacao|desenho|tittel|tegningstittel|tegningstitel|emne|innehall|ritningens innehall|benamning|indhold|innhold',
  'sheet.drawnBy':
    'disegnato|disegnato da|disegnatore|redatto|redatto da|getekend|getekend door|getek|tekenaar|desenhado|desenhado por|desenhou|desenhador|tegnet|tegnet av|tegnet af|tegner|ritad|ritad av|ritat av|ritare',
  'sheet.checkedBy':
    'verificato|verificato da|controllato|controllato da|gecontroleerd|gecontroleerd door|gecontr|controle door|verificado por|verificou|verificacao|kontrollert|kontrollert av|kontrolleret|kontrolleret af|kontr|granskad|granskad av|kontrollerad',
  'sheet.approvedBy':
    'approvato|approvato da|goedgekeurd|goedgekeurd door|goedgek|aprovado|aprovado por|aprovou|aprovacao|godkjent|godkjent av|godkendt|godkendt af|godkand|godkand av',
  'sheet.designedBy':
    'progettato da|ontworpen|ontworpen door|ontwerper|projetou|projetado por|konstruert|konstruerad|konstruerad av',
  'sheet.date': 'data|data emissione|data di emissione|datum tekening|data de emissao|dato|tegningsdato|ritningsdatum',
  'sheet.scale': 'scala|scale disegno|schaal|schalen|escala do desenho|maalestok|malestok|malestokk|skala|skalor',
  'sheet.size': 'formato foglio|formaat|papierformaat|ark|arkformat|pappersformat',
  'sheet.revision':
    'revisione|n revisione|indice revisione|wijziging|wijz|revisie|rev letter|revisao|alteracao|revisjon|andring|aendring|endring',
  'sheet.status': 'stato|stato documento|estado do documento|handlingsstatus',
  'sheet.notes':
    'note|note generali|annotazioni|opmerkingen|opmerking|notas gerais|observacoes|merknader|bemaerkninger|anmarkningar|anmerkninger',
  'sheet.fileName': 'nome file|file disegno|bestand|bestandsnaam|ficheiro|nome do ficheiro|filnavn|filnamn',
  'set.count': 'numero tavole|aantal bladen|numero de folhas|antall ark|antal ritningar',
};
