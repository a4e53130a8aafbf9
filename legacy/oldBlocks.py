#!/usr/bin/python3
"""Draws old title blocks by seed, with what offices do to them, and writes beside each what stands in it.

usage: oldBlocks.py FOLDER FIRST COUNT

Layout, size, unit, language, texts and dirt come from the seed alone. The truth files have the form of those in
demo/legacy: mm on paper, origin at the sheet's lower-left corner, y up.
"""
import json
import math
import random
import sys

import ezdxf

ISO = {"ISO A0": (1189, 841), "ISO A1": (841, 594), "ISO A2": (594, 420), "ISO A3": (420, 297)}
ARCH = {"ARCH C": (24, 18), "ARCH D": (36, 24), "ARCH E1": (42, 30), "ARCH E": (48, 36)}
ASME = {"ASME B": (17, 11), "ASME C": (22, 17), "ASME D": (34, 22)}

WORDS = {
    "en": {
        "project.client": ["CLIENT", "Client:", "OWNER"], "project.name": ["PROJECT", "Project name", "JOB TITLE", "PROJECT:"],
        "project.number": ["PROJECT NO.", "Job No", "PROJ. NO."], "project.address": ["SITE", "PROJECT ADDRESS", "Location"],
        "sheet.title": ["SHEET TITLE", "DRAWING TITLE", "Title", "DRAWING"], "sheet.number": ["SHEET NO.", "DRAWING NO.", "DWG NO", "Sheet"],
        "sheet.drawnBy": ["DRAWN", "DRN", "Drawn by:", "DRAWN BY"], "sheet.checkedBy": ["CHECKED", "CHK'D", "Checked by", "CHK"],
        "sheet.approvedBy": ["APPROVED", "App'd", "APPROVED BY"], "sheet.date": ["DATE", "Date:", "ISSUE DATE"],
        "sheet.scale": ["SCALE", "Scale:", "SCALE @ A1"], "sheet.revision": ["REV", "Revision", "REV."],
        "sheet.status": ["STATUS", "Purpose of issue", "SUITABILITY"], "sheet.fileName": ["FILE", "CAD FILE", "File name"],
        "project.phase": ["PHASE", "Stage"], "sheet.notes": ["NOTES", "GENERAL NOTES"],
    },
    "de": {
        "project.client": ["BAUHERR", "Auftraggeber", "Bauherrschaft"], "project.name": ["BAUVORHABEN", "Projekt", "Objekt:"],
        "project.number": ["PROJEKT-NR.", "Auftrags-Nr.", "Projektnummer"], "project.address": ["BAUORT", "Standort"],
        "sheet.title": ["PLANINHALT", "Planbezeichnung", "Darstellung", "Inhalt"], "sheet.number": ["PLAN-NR.", "Blatt-Nr.", "Zeichnungs-Nr."],
        "sheet.drawnBy": ["GEZ.", "Gezeichnet", "Bearbeitet", "gez. von"], "sheet.checkedBy": ["GEPR.", "Geprüft", "geprüft:"],
        "sheet.approvedBy": ["FREIGEGEBEN", "Freigabe", "genehmigt"], "sheet.date": ["DATUM", "Datum:"],
        "sheet.scale": ["MASSSTAB", "Maßstab", "M."], "sheet.revision": ["INDEX", "Revision"],
        "sheet.status": ["PLANSTATUS", "Status"], "sheet.fileName": ["DATEI", "Dateiname"],
        "project.phase": ["LEISTUNGSPHASE", "Planungsphase", "LPH"], "sheet.notes": ["HINWEISE", "Bemerkungen"],
    },
    "fr": {
        "project.client": ["MAÎTRE D'OUVRAGE", "Maître de l'ouvrage", "CLIENT"], "project.name": ["PROJET", "Opération", "AFFAIRE"],
        "project.number": ["N° AFFAIRE", "N° de projet", "No. projet"], "project.address": ["ADRESSE", "Lieu"],
        "sheet.title": ["TITRE", "DÉSIGNATION", "Intitulé", "Titre du plan"], "sheet.number": ["PLAN N°", "N° de plan", "PLANCHE", "Feuille"],
        "sheet.drawnBy": ["DESSINÉ PAR", "Dessiné", "Dess.", "Dessinateur"], "sheet.checkedBy": ["VÉRIFIÉ", "Vérifié par", "Contrôlé"],
        "sheet.approvedBy": ["APPROUVÉ", "Approuvé par"], "sheet.date": ["DATE", "Date :"],
        "sheet.scale": ["ÉCHELLE", "Ech.", "Échelle :"], "sheet.revision": ["INDICE", "Ind.", "Révision"],
        "sheet.status": ["STATUT", "État"], "sheet.fileName": ["FICHIER", "Nom du fichier"],
        "project.phase": ["PHASE"], "sheet.notes": ["REMARQUES", "NOTES"],
    },
    "es": {
        "project.client": ["PROPIETARIO", "Promotor", "CLIENTE"], "project.name": ["PROYECTO", "Obra"],
        "project.number": ["N.º PROYECTO", "Expediente", "No. proyecto"], "project.address": ["EMPLAZAMIENTO", "Dirección", "UBICACIÓN"],
        "sheet.title": ["TÍTULO", "CONTENIDO", "Título del plano", "Plano"], "sheet.number": ["PLANO N.º", "Nº de plano", "LÁMINA", "Hoja"],
        "sheet.drawnBy": ["DIBUJADO", "Dibujó", "Dib.", "Delineado"], "sheet.checkedBy": ["REVISADO", "Revisó", "Comprobado"],
        "sheet.approvedBy": ["APROBADO", "Aprobó", "Vº Bº"], "sheet.date": ["FECHA", "Fecha:"],
        "sheet.scale": ["ESCALA", "Esc.", "Escala:"], "sheet.revision": ["REVISIÓN", "Rev."],
        "sheet.status": ["ESTADO"], "sheet.fileName": ["ARCHIVO", "Fichero"],
        "project.phase": ["FASE"], "sheet.notes": ["NOTAS", "OBSERVACIONES"],
    },
}
VALUES = {
    "project.client": {"en": ["Harbour Trust", "Saltgrass County Schools", "Fenwick & Rowe Ltd"], "de": ["Stadtwerke Lindenau", "Wohnbau Erlengrund eG"],
                       "fr": ["Ville de Montclair", "Société des Bains"], "es": ["Ayuntamiento de Robledal", "Bodegas del Encinar"]},
    "project.name": {"en": ["Ferry Terminal", "Mill Lane Infants School", "Quarry Road Library"], "de": ["Neubau Kindertagesstätte", "Umbau Alte Mühle"],
                     "fr": ["Médiathèque du Parc", "Groupe scolaire Les Tilleuls"], "es": ["Centro de Salud Norte", "Rehabilitación del Mercado"]},
    "sheet.title": {"en": ["Ground floor plan", "North elevation", "Section A-A", "Roof plan"], "de": ["Grundriss Erdgeschoss", "Ansicht Süd", "Schnitt B-B"],
                    "fr": ["Plan du rez-de-chaussée", "Façade nord", "Coupe AA"], "es": ["Planta baja", "Alzado sur", "Sección longitudinal"]},
    "project.address": {"en": ["12 Quay Street"], "de": ["Mühlweg 4"], "fr": ["3 rue des Forges"], "es": ["Calle Mayor 7"]},
    "sheet.status": {"en": ["For construction", "S2 Information"], "de": ["Vorabzug", "zur Ausführung"], "fr": ["Provisoire"], "es": ["Para obra"]},
    "project.phase": {"en": ["Stage 4", "Design development"], "de": ["LP 5 Ausführungsplanung"], "fr": ["PRO"], "es": ["Ejecución"]},
    "sheet.notes": {"en": ["Do not scale from this drawing."], "de": ["Alle Maße am Bau prüfen."], "fr": ["Cotes à vérifier sur place."], "es": ["Medidas a comprobar en obra."]},
}
REVISION_HEADINGS = {"en": ["Rev", "Description", "Date"], "de": ["Index", "Änderung", "Datum"], "fr": ["Ind.", "Modification", "Date"], "es": ["Rev.", "Descripción", "Fecha"]}
DATES = {"en": ["12/03/2031", "2031-05-09", "3 May 2031"], "de": ["14.02.2030", "2030-02-14"], "fr": ["14/02/2030"], "es": ["14/02/2030"]}


def round6(value):
    return round(value, 6)


class Block:
    def __init__(self, seed):
        self.r = random.Random(seed)
        r = self.r
        self.seed = seed
        self.inch = r.random() < 0.35
        self.mm = 25.4 if self.inch else 1.0
        table = {**ARCH, **ASME} if self.inch else ISO
        self.size = r.choice(list(table))
        w, h = table[self.size]
        self.W, self.H = w * self.mm, h * self.mm
        self.language = "en" if self.inch else r.choice(["en", "de", "de", "fr", "es"])
        if self.inch:
            edge = r.choice([0.5, 0.5, 0.375, 0.75]) * 25.4
            left = r.choice([edge, 1.5 * 25.4, 1.0 * 25.4])
        else:
            edge = r.choice([10, 10, 5, 15])
            left = r.choice([20, 20, 25, edge])
        self.frame = (left, edge, self.W - left - edge, self.H - 2 * edge)
        self.edge_drawn = r.random() < 0.7
        if r.random() < 0.12:
            # Margins of the office's own.
            edge = r.choice([7, 12, 8.5]) if not self.inch else r.choice([0.3, 0.45]) * 25.4
            left = r.choice([edge, edge + 10])
            self.frame = (left, edge, self.W - left - edge, self.H - 2 * edge)
        self.cells, self.captions, self.fields, self.notes, self.empty = [], [], [], [], []
        self.tables = []
        self.unrelated = []
        # Drawing unit: units of the drawing to a mm on paper.
        if self.inch:
            self.unit = r.choice([1 / 25.4, 1 / 25.4, 48 / 25.4, 96 / 25.4])
        else:
            self.unit = r.choice([1, 1, 1, 50, 100, 0.1, 0.001, 0.1 * 10])
        self.rotation = r.choice([0] * 12 + [90, 90, 180, 270, 7.5, 331])
        self.offset = r.choice([(0, 0), (0, 0), (1250.5, -310.25), (-84000.0, 52000.0)])
        self.dirt = {k: r.random() < p for k, p in dict(gaps=0.35, duplicates=0.4, jitter=0.3, strays=0.3, plan=0.4, construction=0.25, hidden=0.3, overshoot=0.25, logo=0.5, zones=0.35, double=0.15, rooms=0.3, page=0.15, beside=0.2, underline=0.2).items()}
        self.nesting = r.choice(["none", "none", "block", "nested", "scaled"])
        self.texts_as = r.choice(["text", "text", "mtext", "attributes", "mixed"])
        self.polylines = r.random() < 0.4
        self.version = r.choice(["R12", "R2000", "R2000", "R2004", "R2007", "R2010", "R2013", "R2018"])
        if self.version == "R12" and self.texts_as == "mtext":
            self.texts_as = "text"
        # Old lettering is rarely what it was meant to be.
        self.wobble = r.choice([1, 1, 1, 0.97, 1.04, 0.95])
        self.heights()

    def heights(self):
        r = self.r
        if self.inch:
            self.h_caption = 25.4 * 3 / 32
            self.h_value = 25.4 * 1 / 8
            self.h_title = 25.4 * r.choice([3 / 16, 1 / 4])
            self.h_number = 25.4 * r.choice([3 / 8, 1 / 2])
        else:
            self.h_caption = r.choice([1.8, 2.5, 2.0])
            self.h_value = r.choice([2.5, 3.5])
            self.h_title = r.choice([5.0, 3.5])
            self.h_number = r.choice([7.0, 10.0])

    # --- what stands in it -------------------------------------------------------------------------------------------
    def value(self, key):
        r, lang = self.r, self.language
        if key in VALUES:
            return r.choice(VALUES[key][lang])
        if key == "project.number":
            return r.choice(["2417", "31-044", "P0912"])
        if key == "sheet.number":
            return r.choice(["A-101", "A-201", "S-03", "E-404"])
        if key in ("sheet.drawnBy", "sheet.checkedBy", "sheet.approvedBy"):
            return r.choice(["MO", "TL", "RH", "EV", "jk"])
        if key == "sheet.date":
            return r.choice(DATES[lang])
        if key == "sheet.scale":
            return r.choice(['1/8" = 1\'-0"', '1/4" = 1\'-0"', "AS NOTED"]) if self.inch else r.choice(["1:50", "1:100", "1:200"])
        if key == "sheet.revision":
            return r.choice(["A", "B", "C1", "P02"])
        if key == "sheet.fileName":
            return r.choice(["A101-GF", "2417_A_201.dwg"])
        return "x"

    def cell(self, x, y, w, h, key=None, layout="over"):
        index = len(self.cells)
        self.cells.append((x, y, w, h))
        if key is None:
            return
        pad = 1.0 if h < 12 else 1.5
        word = self.r.choice(WORDS[self.language][key])
        cap_h = min(self.h_caption, max(1.8 if not self.inch else 25.4 * 3 / 32, h * 0.25))
        self.captions.append(dict(text=word, cell=index, height=cap_h, at=(x + pad, y + h - pad - cap_h), align="left"))
        if self.r.random() < 0.08 and key not in ("sheet.title", "project.name"):
            self.empty.append(dict(parameter=key, cell=index))
            return
        value = self.value(key)
        wanted = self.h_number if key == "sheet.number" and h > 18 else self.h_title if key in ("sheet.title", "project.name") else self.h_value
        room = h - cap_h - 3 * pad
        series = [25.4 * s for s in (3 / 32, 1 / 8, 3 / 16, 1 / 4, 3 / 8, 1 / 2)] if self.inch else [1.8, 2.5, 3.5, 5, 7, 10]
        fits = [s for s in series if s <= wanted + 1e-6 and s <= room and s * 0.62 * len(value) <= w - 2 * pad]
        height = fits[-1] if fits else series[0]
        align = self.r.choice(["left", "left", "left", "centre"])
        vx = x + pad + 0.5 if align == "left" else x + w / 2
        beside = x + pad + len(word) * cap_h * 0.75 + 3
        if self.dirt["beside"] and h < 20 and beside + len(value) * height * 0.7 < x + w - pad:
            # The value stands beside its caption, on the same line.
            align, vx = "left", beside
            self.captions[-1]["at"] = (x + pad, y + pad + 0.3)
        self.fields.append(dict(text=value, parameter=key, cell=index, height=height, at=(vx, y + pad), align=align))

    def rows(self, x, y_top, w, spec):
        """Rows from the top: (height, [keys]); several keys share the row."""
        y = y_top
        for h, keys in spec:
            y -= h
            each = w / len(keys)
            for i, key in enumerate(keys):
                self.cell(x + i * each, y, each, h, key)
        return y

    def build(self):
        r, m = self.r, self.mm
        fx, fy, fw, fh = self.frame
        kind = r.choice(["strip", "strip", "bottom", "corner", "corner"])
        q = (lambda v: round(v * 8) / 8 * 25.4) if self.inch else round
        pick = ["sheet.drawnBy", "sheet.checkedBy", "sheet.date", "sheet.scale", "project.number", "sheet.revision", "sheet.approvedBy", "sheet.status", "project.phase"]
        r.shuffle(pick)
        small = fw < 500
        if kind == "strip":
            w = q(2.75) if self.inch and small else q(r.choice([3, 3.5])) if self.inch else r.choice([60, 70, 90]) if not small else 55
            x = fx + fw - w
            tall = q(0.625) if self.inch else r.choice([14, 16, 18])
            spec = [(q(2) if self.inch else 50, [None])]
            below = [("project.client", 1.25, 30), ("project.name", 1.5, 40), ("sheet.title", 1.25, 34)]
            rows = [(q(i) if self.inch else v, [k]) for k, i, v in below]
            pairs = [(tall, pick[i:i + 2]) for i in range(0, r.choice([4, 6]), 2)]
            last = [(q(1.25) if self.inch else 29, ["sheet.number"])]
            fixed = sum(h for h, _ in spec + rows + pairs + last)
            if fh - fixed > 20:
                rows = [(fh - fixed, [r.choice(["sheet.notes", None])])] + rows
            else:
                spec = []
                fixed = sum(h for h, _ in rows + pairs + last)
                rows = [(fh - fixed, [None])] + rows
            self.rows(x, fy + fh, w, spec + rows + pairs + last)
            block = (x, fy, w, fh)
            if r.random() < 0.4 and not small:
                self.revisions(x, fy)
        elif kind == "bottom":
            h = q(r.choice([2, 2.5])) if self.inch else r.choice([40, 50, 55])
            if small:
                h = q(1.5) if self.inch else 36
            logo = q(fw / 25.4 * 0.14) if self.inch else round(fw * 0.14)
            client = q(fw / 25.4 * 0.18) if self.inch else round(fw * 0.18)
            number = q(fw / 25.4 * 0.12) if self.inch else round(fw * 0.12)
            small_w = q(fw / 25.4 * 0.14) if self.inch else round(fw * 0.14)
            middle = fw - logo - client - number - small_w
            x = fx
            self.cell(x, fy, logo, h, None)
            x += logo
            self.cell(x, fy, client, h, "project.client")
            x += client
            self.rows(x, fy + h, middle, [(h / 2, ["project.name"]), (h / 2, ["sheet.title"])])
            x += middle
            n = r.choice([3, 4]) if h > 45 else 3 if h > 39 else 2
            self.rows(x, fy + h, small_w, [(h / n, [k]) for k in pick[:n]])
            x += small_w
            self.cell(x, fy, number, h, "sheet.number")
            block = (fx, fy, fw, h)
        else:
            w = q(r.choice([6, 7])) if self.inch else r.choice([170, 180, 190])
            tall = q(0.5) if self.inch else r.choice([12, 14, 15])
            n = r.choice([3, 4])
            spec = [(q(0.875) if self.inch else 24, ["project.name"]), (q(0.75) if self.inch else 20, ["project.client", "sheet.title"]),
                    (tall, pick[:n]), (q(0.75) if self.inch else 20, [pick[n], "sheet.number"])]
            hh = sum(h for h, _ in spec)
            self.rows(fx + fw - w, fy + hh, w, spec)
            block = (fx + fw - w, fy, w, hh)
            if r.random() < 0.35:
                self.revisions(fx + fw, fy + hh)
        self.block = block

    def revisions(self, x_right, y):
        """A table of revisions with its headings at the bottom, left of or over the block."""
        r = self.r
        widths = [25.4 * v for v in (0.5, 3, 1)] if self.inch else [12, 84, 24]
        row = 25.4 * 0.25 if self.inch else 6
        rows = r.choice([3, 5, 6])
        x = x_right - sum(widths)
        heads = REVISION_HEADINGS[self.language]
        self.tables.append(dict(kind="revisions", x=x, y=y, width=sum(widths), height=row * (rows + 1), columns=heads))
        self.table_lines = (x, y, widths, row, rows + 1)
        cx = x
        for word, w in zip(heads, widths):
            self.captions.append(dict(text=word, cell=None, height=self.h_caption if self.h_caption < row * 0.5 else 1.8 if not self.inch else 25.4 * 3 / 32, at=(cx + 1, y + 1.5), align="left"))
            cx += w
        # Some of the revisions are there.
        self.entries = []
        for i in range(r.choice([0, 0, 1, 2])):
            cx = x
            for word, w in zip(["ABC"[i], "Door moved", "12.3.31"], widths):
                self.entries.append((word, (cx + 1, y + (i + 1) * row + 1.5)))
                cx += w

    # --- lines -------------------------------------------------------------------------------------------------------
    def lines(self):
        """Segments of the block in mm: edges of all cells, joined along each line as a draughtsman draws them."""
        level, upright = {}, {}

        def add(table, at, a, b):
            table.setdefault(round6(at), []).append((a, b))

        def box(x, y, w, h):
            for at in (y, y + h):
                add(level, at, x, x + w)
            for at in (x, x + w):
                add(upright, at, y, y + h)

        for c in self.cells:
            box(*c)
        if self.tables:
            x, y, widths, row, n = self.table_lines
            for i in range(n + 1):
                add(level, y + i * row, x, x + sum(widths))
            cx = x
            for w in [0] + widths:
                cx += w
                add(upright, cx, y, y + n * row)
        out = []
        for table, flat in ((level, True), (upright, False)):
            for at, spans in table.items():
                spans.sort()
                merged = []
                for a, b in spans:
                    if merged and a <= merged[-1][1] + 1e-6:
                        merged[-1][1] = max(merged[-1][1], b)
                    else:
                        merged.append([a, b])
                for a, b in merged:
                    out.append((a, at, b, at) if flat else (at, a, at, b))
        return out

    def dirty(self, lines):
        r, out = self.r, []
        for x0, y0, x1, y1 in lines:
            level = y0 == y1
            parts = [(x0, y0, x1, y1)]
            length = abs(x1 - x0) + abs(y1 - y0)
            if self.dirt["gaps"] and length > 20 and r.random() < 0.3:
                # Broken in two, with a little gap or overlap.
                k, gap = r.uniform(0.3, 0.7), r.choice([0, 0.1, 0.15, -0.4])
                if level:
                    parts = [(x0, y0, x0 + (x1 - x0) * k - gap / 2, y1), (x0 + (x1 - x0) * k + gap / 2, y0, x1, y1)]
                else:
                    parts = [(x0, y0, x1, y0 + (y1 - y0) * k - gap / 2), (x0, y0 + (y1 - y0) * k + gap / 2, x1, y1)]
            if self.dirt["overshoot"] and r.random() < 0.25:
                a, b, c, d = parts[-1]
                over = r.uniform(-0.25, 0.3)
                parts[-1] = (a, b, c + over, d) if level else (a, b, c, d + over)
            for part in parts:
                if self.dirt["jitter"]:
                    part = tuple(v + r.uniform(-0.02, 0.02) for v in part)
                out.append(part)
                if self.dirt["duplicates"] and r.random() < 0.15:
                    out.append(part)
        if self.dirt["duplicates"]:
            out.append((self.block[0] + 5, self.block[1] + 5, self.block[0] + 5, self.block[1] + 5))
        return out

    # --- file --------------------------------------------------------------------------------------------------------
    def write(self, folder):
        r = self.r
        self.build()
        doc = ezdxf.new(self.version, setup=True)
        if self.version != "R12":
            doc.header["$INSUNITS"] = r.choice([0, 4 if not self.inch else 1, 4, 6])
        msp = doc.modelspace()
        if self.dirt["page"]:
            # The sheet stands on a page of its own, the building in the model.
            for k in range(12):
                msp.add_line((0, k * 3000), (24000, k * 3000), dxfattribs={"layer": "0"})
                msp.add_line((k * 2000, 0), (k * 2000, 33000), dxfattribs={"layer": "0"})
            self.unit = 1 / 25.4 if self.inch else 1
            msp = doc.layout("Layout1")
        for name, colour in (("FRAME", 5), ("TB-LINES", 7), ("TB-TEXT", 3), ("PLAN", 8), ("KONSTRUKTION", 9), ("OLD", 1)):
            layer = doc.layers.new(name) if name not in doc.layers else doc.layers.get(name)
            layer.dxf.color = colour
        turn = math.radians(self.rotation)

        def place(x, y, inside=False):
            if inside:
                return (x, y)
            c, s = math.cos(turn), math.sin(turn)
            return ((c * x - s * y) * self.unit + self.offset[0], (s * x + c * y) * self.unit + self.offset[1])

        target, block_name, local = msp, None, lambda x, y: place(x, y)
        scale, spin = self.unit, self.rotation
        bx, by = self.block[0], self.block[1]
        if self.nesting != "none":
            block_name = "TITLE"
            target = doc.blocks.new(block_name)
            scale = 1.0 if self.nesting == "scaled" else self.unit
            local = lambda x, y: ((x - bx) * scale, (y - by) * scale)
            spin = 0

        def line(space, p, q, layer):
            if self.polylines and self.version != "R12":
                space.add_lwpolyline([p, q], dxfattribs={"layer": layer})
            else:
                space.add_line(p, q, dxfattribs={"layer": layer})

        # Frame, sheet edge and drawing content stand in the model itself.
        fx, fy, fw, fh = self.frame
        corners = [(fx, fy), (fx + fw, fy), (fx + fw, fy + fh), (fx, fy + fh)]
        if self.polylines and self.version != "R12":
            msp.add_lwpolyline([place(*c) for c in corners], close=True, dxfattribs={"layer": "FRAME"})
        else:
            for a, b in zip(corners, corners[1:] + corners[:1]):
                msp.add_line(place(*a), place(*b), dxfattribs={"layer": "FRAME"})
        if self.edge_drawn:
            edge = [(0, 0), (self.W, 0), (self.W, self.H), (0, self.H)]
            for a, b in zip(edge, edge[1:] + edge[:1]):
                msp.add_line(place(*a), place(*b), dxfattribs={"layer": "FRAME"})
        for x0, y0, x1, y1 in self.dirty(self.lines()):
            line(target, local(x0, y0), local(x1, y1), "TB-LINES")

        if self.dirt["zones"]:
            self.zones(msp, place)
        if self.dirt["double"]:
            g = 0.6
            ring = [(fx - g, fy - g), (fx + fw + g, fy - g), (fx + fw + g, fy + fh + g), (fx - g, fy + fh + g)]
            for a, b in zip(ring, ring[1:] + ring[:1]):
                msp.add_line(place(*a), place(*b), dxfattribs={"layer": "FRAME"})
        if self.dirt["logo"]:
            self.logo(target, local, scale, spin)
        if self.dirt["underline"]:
            for t in self.fields[:3]:
                x, y = t["at"]
                if t["align"] == "left":
                    target.add_line(local(x, y - 0.5), local(x + 0.5 * len(t["text"]) * t["height"], y - 0.5), dxfattribs={"layer": "TB-LINES"})

        use_attributes = self.texts_as in ("attributes", "mixed") and block_name is not None
        attributes = []
        for group, kind in ((self.captions, "caption"), (self.fields, "field")):
            for t in group:
                x, y = t["at"]
                height = t["height"] = t["height"] * self.wobble
                if kind == "field" and use_attributes and (self.texts_as == "attributes" or r.random() < 0.5):
                    tag = "F%d" % len(attributes)
                    attributes.append((tag, t))
                    continue
                self.text(target, t["text"], local(x, y), height * scale, spin, t["align"])
        for word, at in getattr(self, "entries", []):
            self.text(target, word, local(*at), 1.8 * scale if not self.inch else 25.4 * 3 / 32 * scale, spin, "left")
        if block_name:
            outer = block_name
            if self.nesting == "nested":
                outer = "OUTER"
                doc.blocks.new(outer).add_blockref(block_name, (0, 0), dxfattribs={"layer": "TB-LINES"})
            factor = self.unit if self.nesting == "scaled" else 1.0
            ref = msp.add_blockref(outer, place(bx, by), dxfattribs={"layer": "TB-LINES", "xscale": factor, "yscale": factor, "zscale": factor, "rotation": self.rotation})
            for tag, t in attributes:
                a = ref.add_attrib(tag, t["text"], place(*t["at"]), dxfattribs={"height": t["height"] * self.unit, "rotation": self.rotation, "layer": "TB-TEXT"})
                if t["align"] == "centre":
                    a.set_pos(place(*t["at"]), align="CENTER")
        if self.dirt["plan"]:
            self.unrelated.append("PLAN")
            for _ in range(40):
                x, y = fx + fw * r.uniform(0.1, 0.5), fy + fh * r.uniform(0.45, 0.85)
                w, h = r.uniform(10, fw * 0.15), r.uniform(10, fh * 0.1)
                msp.add_line(place(x, y), place(x + w, y), dxfattribs={"layer": "PLAN"})
                msp.add_line(place(x + w, y), place(x + w, y + h), dxfattribs={"layer": "PLAN"})
        if self.dirt["rooms"]:
            # A plan of closed rooms with their names, well inside of the drawing area.
            if "PLAN" not in self.unrelated:
                self.unrelated.append("PLAN")
            x, y = fx + fw * 0.15, fy + fh * 0.45
            for i in range(3):
                for j in range(3):
                    w, h = fw * 0.1, fh * 0.12
                    ring = [(x + i * w, y + j * h), (x + i * w + w, y + j * h), (x + i * w + w, y + j * h + h), (x + i * w, y + j * h + h)]
                    for a, b in zip(ring, ring[1:] + ring[:1]):
                        msp.add_line(place(*a), place(*b), dxfattribs={"layer": "PLAN"})
                    self.text(msp, r.choice(["Kitchen", "Hall", "Bad", "Office 12", "18.4 m2"]), place(x + i * w + w / 3, y + j * h + h / 2), 2.5 * self.unit, self.rotation, "left", "PLAN")
        if self.dirt["construction"]:
            self.unrelated.append("KONSTRUKTION")
            msp.add_line(place(-self.W, fy + fh * 0.37), place(2 * self.W, fy + fh * 0.37), dxfattribs={"layer": "KONSTRUKTION"})
        if self.dirt["strays"]:
            msp.add_line(place(self.W * 6, self.H * 4), place(self.W * 6 + 10, self.H * 4), dxfattribs={"layer": "0"})
            msp.add_text("x", dxfattribs={"height": 2.5 * self.unit, "insert": place(-self.W * 3, 10), "layer": "0"})
        if self.dirt["hidden"]:
            self.unrelated.append("OLD")
            doc.layers.get("OLD").off()
            msp.add_line(place(fx + 5, fy + 5), place(fx + fw - 5, fy + fh - 5), dxfattribs={"layer": "OLD"})
            self.text(msp, "SUPERSEDED", place(fx + 30, fy + fh / 2), 10 * self.unit, self.rotation, "left", "OLD")
        name = "old-%04d" % self.seed
        doc.saveas("%s/%s.dxf" % (folder, name))
        strip = lambda ts: [{k: v for k, v in t.items() if k not in ("at", "align")} for t in ts]
        rect = lambda c: dict(zip(("x", "y", "width", "height"), c))
        truth = dict(file=name + ".dxf", unitsPerPaperMm=self.unit, rotation=self.rotation, sheet=dict(name=self.size, width=self.W, height=self.H),
                     frame=rect(self.frame), block=rect(self.block), cells=[rect(c) for c in self.cells], captions=strip(self.captions),
                     fields=strip(self.fields), notes=[], emptyFields=self.empty, tables=self.tables, unrelatedLayers=self.unrelated,
                     made=dict(dirt=[k for k, v in self.dirt.items() if v], nesting=self.nesting, texts=self.texts_as, version=self.version, language=self.language, edge=self.edge_drawn))
        with open("%s/%s.truth.json" % (folder, name), "w") as out:
            json.dump(truth, out)

    def zones(self, space, place):
        """Ticks and characters of the zones between the frame and the edge of the sheet."""
        fx, fy, fw, fh = self.frame
        n, m = 8, 6
        for i in range(n):
            for y in (fy - 3.5, fy + fh + 1):
                space.add_text(str(i + 1), dxfattribs={"height": 2.5 * self.unit, "rotation": self.rotation, "layer": "FRAME", "insert": place(fx + fw * (i + 0.5) / n, y)})
            if i:
                for y0, y1 in ((fy - 4, fy), (fy + fh, fy + fh + 4)):
                    space.add_line(place(fx + fw * i / n, y0), place(fx + fw * i / n, y1), dxfattribs={"layer": "FRAME"})
        for j in range(m):
            for x in (fx - 3.5, fx + fw + 1):
                space.add_text("ABCDEF"[j], dxfattribs={"height": 2.5 * self.unit, "rotation": self.rotation, "layer": "FRAME", "insert": place(x, fy + fh * (j + 0.5) / m)})

    def logo(self, space, local, scale, spin):
        """A mark of lines, a box, a circle and a hatch in the first cell that holds no text."""
        used = {t["cell"] for t in self.captions}
        free = [c for i, c in enumerate(self.cells) if i not in used and c[2] > 25 and c[3] > 25]
        if not free:
            return
        x, y, w, h = free[0]
        cx, cy, k = x + w / 2, y + h / 2, min(w, h) * 0.25
        box = [(cx - k, cy - k), (cx + k, cy - k), (cx + k, cy + k), (cx - k, cy + k)]
        for a, b in zip(box, box[1:] + box[:1]):
            space.add_line(local(*a), local(*b), dxfattribs={"layer": "TB-LINES"})
        space.add_line(local(cx - k, cy - k), local(cx + k, cy + k), dxfattribs={"layer": "TB-LINES"})
        if self.r.random() < 0.5:
            space.add_line(local(cx - k, cy), local(cx + k, cy), dxfattribs={"layer": "TB-LINES"})
        space.add_circle(local(cx, cy), k * 0.6 * scale, dxfattribs={"layer": "TB-LINES"})

    def text(self, space, words, at, height, spin, align, layer="TB-TEXT"):
        kind = self.texts_as
        if kind == "mtext" or (kind == "mixed" and self.version != "R12" and self.r.random() < 0.4):
            codes = self.r.choice(["%s", "{\\fArial|b0|i0;%s}", "\\A1;%s", "{\\H1.0x;%s}"])
            m = space.add_mtext(codes % words, dxfattribs={"char_height": height, "rotation": spin, "layer": layer, "insert": at})
            m.dxf.attachment_point = 7 if align == "left" else 8
            return
        t = space.add_text(words, dxfattribs={"height": height, "rotation": spin, "layer": layer, "insert": at})
        if align == "centre":
            t.set_pos(at, align="CENTER")


if __name__ == "__main__":
    folder, first, count = sys.argv[1], int(sys.argv[2]), int(sys.argv[3])
    for seed in range(first, first + count):
        Block(seed).write(folder)
