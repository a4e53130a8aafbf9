#!/usr/bin/python3
"""Draws old title blocks with one bad habit each, and writes beside each what stands in it.

usage: oddHabits.py FOLDER

The truth files have the form of those in demo/legacy: mm on paper, origin at the sheet's lower-left corner, y up.
"""
import json
import sys

import ezdxf

SIZES = {"ISO A1": (841, 594), "ISO A2": (594, 420), "ISO A3": (420, 297)}


class Sheet:
    """A sheet drawn in mm on paper; `unit` is what a mm becomes in the drawing."""

    def __init__(self, name, size="ISO A1", version="R2010", unit=1.0, margins=(20, 10)):
        self.name, self.size, self.unit = name, size, unit
        self.doc = ezdxf.new(version)
        self.doc.header["$INSUNITS"] = 1  # inches, which is wrong
        self.space = self.doc.modelspace()
        self.W, self.H = SIZES[size]
        left, edge = margins
        self.frame = (left, edge, self.W - left - edge, self.H - 2 * edge)
        self.cells, self.captions, self.fields, self.notes, self.options, self.pictures, self.empty, self.tables, self.unrelated = [], [], [], [], [], [], [], [], []
        for layer in ("RAHMEN", "TEXT", "PLAN"):
            self.doc.layers.new(layer)

    def at(self, x, y):
        return (x * self.unit, y * self.unit)

    def line(self, x0, y0, x1, y1, layer="RAHMEN"):
        self.space.add_line(self.at(x0, y0), self.at(x1, y1), dxfattribs={"layer": layer})

    def box(self, x, y, w, h, layer="RAHMEN", width=0.0):
        """A closed polyline, with a width if it is a heavy one."""
        points = [self.at(*p) for p in ((x, y), (x + w, y), (x + w, y + h), (x, y + h))]
        if self.doc.dxfversion == "AC1009":
            self.space.add_polyline2d(points, dxfattribs={"layer": layer}, close=True)
        else:
            self.space.add_lwpolyline(points, close=True, dxfattribs={"layer": layer, "const_width": width * self.unit})

    def write_text(self, words, x, y, height, rotation=0):
        self.space.add_text(words, dxfattribs={"insert": self.at(x, y), "height": height * self.unit, "rotation": rotation, "layer": "TEXT"})

    def frame_and_edge(self, edge=True):
        if edge:
            self.box(0, 0, self.W, self.H)
        self.box(*self.frame)

    def cell(self, x, y, w, h):
        self.cells.append((x, y, w, h))
        return len(self.cells) - 1

    def caption(self, words, cell, x, y, height=1.8, rotation=0):
        self.captions.append(dict(text=words, cell=cell, height=height))
        self.write_text(words, x, y, height, rotation)

    def field(self, key, words, cell, x, y, height=2.5, rotation=0):
        self.fields.append(dict(text=words, parameter=key, cell=cell, height=height))
        self.write_text(words, x, y, height, rotation)

    def pair(self, key, caption, words, x, y, w, h, size=2.5, small=1.8):
        """A cell with its caption over its value."""
        cell = self.cell(x, y, w, h)
        self.caption(caption, cell, x + 1.5, y + h - 1.5 - small, small)
        self.field(key, words, cell, x + 1.5, y + 1.5, size)

    def write(self, folder):
        self.doc.saveas("%s/%s.dxf" % (folder, self.name))
        rect = lambda r: dict(zip(("x", "y", "width", "height"), r))
        truth = dict(file=self.name + ".dxf", unitsPerPaperMm=self.unit, rotation=0, sheet=dict(name=self.size, width=self.W, height=self.H),
                     frame=rect(self.frame), cells=[rect(c) for c in self.cells], captions=self.captions, fields=self.fields, notes=self.notes,
                     options=self.options, pictures=self.pictures, emptyFields=self.empty, tables=self.tables, unrelatedLayers=self.unrelated)
        with open("%s/%s.truth.json" % (folder, self.name), "w") as out:
            json.dump(truth, out)


def captions_in_cells_of_their_own():
    """A form: the caption stands in one cell and its value in the next."""
    s = Sheet("captions-in-cells-of-their-own", "ISO A2")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0, w1, w2 = fx + fw - 150, 40, 110
    rows = [("project.client", "Bauherr", "Stadtwerke Lindenau"), ("project.name", "Bauvorhaben", "Neubau Kindertagesstätte"),
            ("sheet.title", "Planinhalt", "Grundriss Erdgeschoss"), ("sheet.drawnBy", "gezeichnet", "MO"), ("sheet.date", "Datum", "14.02.2030"),
            ("sheet.scale", "Maßstab", "1:50"), ("sheet.number", "Plan-Nr.", "A-101")]
    y = fy + 9 * len(rows)
    s.line(x0, y, x0 + 150, y)
    s.line(x0, fy, x0, y)
    s.line(x0 + w1, fy, x0 + w1, y)
    for key, caption, words in rows:
        y -= 9
        s.line(x0, y, x0 + 150, y)
        s.caption(caption, s.cell(x0, y, w1, 9), x0 + 2, y + 3, 2.5)
        s.field(key, words, s.cell(x0 + w1, y, w2, 9), x0 + w1 + 2, y + 3, 3.5)
    return s


def headings_over_values():
    """A row of captions over a row of values, each in a cell."""
    s = Sheet("headings-over-values", "ISO A1")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 180
    s.box(x0, fy, 180, 60)
    for y in (fy + 14, fy + 21, fy + 40):
        s.line(x0, y, x0 + 180, y)
    s.pair("project.name", "PROJECT", "Quarry Road Library", x0, fy + 40, 180, 20, 5)
    s.pair("sheet.title", "DRAWING TITLE", "North elevation", x0, fy + 21, 180, 19, 5)
    keys = [("sheet.drawnBy", "DRAWN", "MO"), ("sheet.checkedBy", "CHECKED", "TL"), ("sheet.date", "DATE", "12/03/2031"), ("sheet.scale", "SCALE", "1:100"), ("sheet.number", "DRG NO", "A-201")]
    for i, (key, caption, words) in enumerate(keys):
        x = x0 + 36 * i
        if i:
            s.line(x, fy, x, fy + 21)
        s.caption(caption, s.cell(x, fy + 14, 36, 7), x + 2, fy + 16, 2.5)
        s.field(key, words, s.cell(x, fy, 36, 14), x + 2, fy + 4, 3.5)
    return s


def several_in_one_cell():
    """Captions and values in two columns of one cell without a line between them."""
    s = Sheet("several-in-one-cell", "ISO A1", unit=100.0)
    s.frame_and_edge()
    fx, fy, fw, fh = s.frame
    x0 = fx + fw - 90
    s.line(x0, fy, x0, fy + fh)
    s.line(x0, fy + 90, fx + fw, fy + 90)
    s.line(x0, fy + 30, fx + fw, fy + 30)
    s.cell(x0, fy + 90, 90, fh - 90)
    cell = s.cell(x0, fy + 30, 90, 60)
    rows = [("project.client", "Client:", "Harbour Trust"), ("project.name", "Project:", "Ferry Terminal"), ("sheet.title", "Title:", "Roof plan"), ("sheet.date", "Date:", "3 May 2031"), ("sheet.scale", "Scale:", "1:200"), ("sheet.drawnBy", "Drawn:", "RH")]
    for i, (key, caption, words) in enumerate(rows):
        y = fy + 82 - 9 * i
        s.caption(caption, cell, x0 + 3, y, 2.5)
        s.field(key, words, cell, x0 + 30, y, 2.5)
    number = s.cell(x0, fy, 90, 30)
    s.caption("Drawing no.", number, x0 + 3, fy + 24, 2.5)
    s.field("sheet.number", "A-301", number, x0 + 3, fy + 6, 10)
    return s


def boxes_with_gaps():
    """Every cell is a rectangle of its own; neighbours share no line but stand edge to edge, each edge drawn twice."""
    s = Sheet("boxes-edge-to-edge", "ISO A3", version="R12", margins=(20, 10))
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 180
    for key, caption, words, x, y, w, h, size in [
        ("project.name", "PROJET", "Médiathèque du Parc", 0, 24, 120, 16, 3.5), ("sheet.title", "TITRE", "Façade nord", 0, 12, 120, 12, 3.5),
        ("sheet.drawnBy", "DESSINÉ", "EV", 0, 0, 40, 12, 2.5), ("sheet.date", "DATE", "14/02/2030", 40, 0, 40, 12, 2.5), ("sheet.scale", "ÉCHELLE", "1:100", 80, 0, 40, 12, 2.5),
        ("project.client", "MAÎTRE D'OUVRAGE", "Ville de Montclair", 120, 24, 60, 16, 2.5), ("sheet.number", "PLAN N°", "A-201", 120, 0, 60, 24, 7),
    ]:
        s.box(x0 + x, fy + y, w, h)
        s.pair(key, caption, words, x0 + x, fy + y, w, h, size)
    return s


def apart_from_the_frame():
    """The block stands 5 mm from the frame with a heavy border of its own."""
    s = Sheet("apart-from-the-frame", "ISO A2")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0, y0 = fx + fw - 165, fy + 5
    s.box(x0, y0, 160, 50, width=0.7)
    s.line(x0, y0 + 32, x0 + 160, y0 + 32)
    s.line(x0, y0 + 16, x0 + 160, y0 + 16)
    s.line(x0 + 80, y0, x0 + 80, y0 + 32)
    s.pair("project.name", "PROYECTO", "Centro de Salud Norte", x0, y0 + 32, 160, 18, 5)
    s.pair("sheet.title", "TÍTULO", "Planta baja", x0, y0 + 16, 80, 16, 3.5)
    s.pair("sheet.number", "PLANO N.º", "A-101", x0 + 80, y0 + 16, 80, 16, 5)
    s.pair("sheet.scale", "ESCALA", "1:50", x0, y0, 80, 16)
    s.pair("sheet.date", "FECHA", "14/02/2030", x0 + 80, y0, 80, 16)
    return s


def words_before_values():
    """Caption and value are one text without a colon."""
    s = Sheet("words-before-values", "ISO A3")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 180
    s.box(x0, fy, 180, 45)
    s.line(x0, fy + 30, x0 + 180, fy + 30)
    s.line(x0, fy + 15, x0 + 180, fy + 15)
    for x in (60, 120):
        s.line(x0 + x, fy, x0 + x, fy + 15)
    s.pair("project.name", "PROJECT", "Mill Lane Infants School", x0, fy + 30, 180, 15, 5)
    s.pair("sheet.title", "TITLE", "Section A-A", x0, fy + 15, 180, 15, 5)
    for i, (key, caption, words) in enumerate([("sheet.scale", "SCALE", "1:50"), ("sheet.date", "DATE", "12/03/2031"), ("sheet.number", "DRG NO", "A-102")]):
        cell = s.cell(x0 + 60 * i, fy, 60, 15)
        s.write_text("%s %s" % (caption, words), x0 + 60 * i + 3, fy + 5, 2.5)
        s.captions.append(dict(text=caption, cell=cell, height=2.5))
        s.fields.append(dict(text=words, parameter=key, cell=cell, height=2.5))
    return s


def bars_for_lines():
    """Dividers are thin filled bars, the frame is a heavy polyline."""
    s = Sheet("bars-for-lines", "ISO A1")
    fx, fy, fw, fh = s.frame
    s.box(0, 0, s.W, s.H)
    s.box(*s.frame, width=0.7)

    def bar(x0, y0, x1, y1, t=0.5):
        if y0 == y1:
            points = [(x0, y0 - t / 2), (x1, y0 - t / 2), (x0, y0 + t / 2), (x1, y0 + t / 2)]
        else:
            points = [(x0 - t / 2, y0), (x0 + t / 2, y0), (x0 - t / 2, y1), (x0 + t / 2, y1)]
        s.space.add_solid([s.at(*p) for p in points], dxfattribs={"layer": "RAHMEN"})

    x0 = fx + fw - 80
    bar(x0, fy, x0, fy + fh)
    y = fy + fh
    rows = [(None, None, None, fh - 150, 0), ("project.client", "CLIENT", "Saltgrass County Schools", 40, 3.5), ("project.name", "PROJECT", "Quarry Road Library", 40, 5), ("sheet.title", "SHEET TITLE", "Ground floor plan", 40, 5), ("sheet.number", "SHEET NO.", "A-101", 30, 10)]
    for key, caption, words, h, size in rows:
        y -= h
        if y > fy:
            bar(x0, y, fx + fw, y)
        if key:
            s.pair(key, caption, words, x0, y, 80, h, size, 2.5)
        else:
            s.cell(x0, y, 80, h)
    return s


def values_in_lines():
    """Values of several lines, as texts under one another and as one text with breaks; captions as high as values."""
    s = Sheet("values-in-lines", "ISO A1")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 180
    s.box(x0, fy, 180, 80)
    s.line(x0, fy + 55, x0 + 180, fy + 55)
    s.line(x0, fy + 25, x0 + 180, fy + 25)
    s.line(x0 + 90, fy + 25, x0 + 90, fy + 80)
    s.line(x0 + 90, fy, x0 + 90, fy + 25)
    top = [("project.client", "BAUHERR", ["Wohnbau Erlengrund eG", "Mühlweg 4"], x0, fy + 55), ("project.name", "BAUVORHABEN", ["Umbau Alte Mühle", "zweiter Abschnitt"], x0 + 90, fy + 55)]
    for key, caption, lines, x, y in top:
        cell = s.cell(x, y, 90, 25)
        s.caption(caption, cell, x + 2, y + 19, 2.5)
        if key == "project.client":
            for i, words in enumerate(lines):
                s.fields.append(dict(text=words, parameter=key, cell=cell, height=2.5))
                s.write_text(words, x + 2, y + 12 - 5 * i, 2.5)
        else:
            s.fields += [dict(text=words, parameter=key, cell=cell, height=2.5) for words in lines]
            m = s.space.add_mtext("\\P".join(lines), dxfattribs={"insert": (x + 2, y + 14.5), "char_height": 2.5, "layer": "TEXT", "width": 80})
            m.dxf.attachment_point = 1
    s.pair("sheet.title", "PLANINHALT", "Ansicht Süd", x0, fy + 25, 90, 30, 2.5, 2.5)
    s.pair("sheet.scale", "MASSSTAB", "1:100", x0 + 90, fy + 25, 90, 30, 2.5, 2.5)
    s.pair("sheet.date", "DATUM", "14.02.2030", x0, fy, 90, 25, 2.5, 2.5)
    s.pair("sheet.number", "PLAN-NR.", "A-201", x0 + 90, fy, 90, 25, 2.5, 2.5)
    return s


def two_frames_and_marks():
    """A thin line inside a heavy frame, centring marks, fold marks, a north arrow and a scale bar in the block."""
    s = Sheet("marks-and-signs", "ISO A1")
    s.box(0, 0, s.W, s.H)
    fx, fy, fw, fh = s.frame
    s.box(*s.frame, width=0.7)
    for x in (210, 400, 590):
        s.line(x, 0, x, 5)
        s.line(x, s.H - 5, x, s.H)
    s.line(s.W / 2, 0, s.W / 2, 15)
    s.line(s.W / 2, s.H - 15, s.W / 2, s.H)
    s.line(0, s.H / 2, 25, s.H / 2)
    s.line(s.W - 15, s.H / 2, s.W, s.H / 2)
    x0 = fx + fw - 180
    s.box(x0, fy, 180, 60)
    s.line(x0, fy + 40, x0 + 180, fy + 40)
    s.line(x0, fy + 20, x0 + 180, fy + 20)
    s.line(x0 + 60, fy, x0 + 60, fy + 20)
    s.line(x0 + 120, fy, x0 + 120, fy + 40)
    s.pair("project.name", "PROJECT", "Ferry Terminal", x0, fy + 40, 180, 20, 7)
    s.pair("sheet.title", "DRAWING TITLE", "Roof plan", x0, fy + 20, 120, 20, 5)
    arrow = s.cell(x0 + 120, fy + 20, 60, 20)
    assert arrow >= 0
    s.space.add_circle((x0 + 150, fy + 30), 7, dxfattribs={"layer": "RAHMEN"})
    s.line(x0 + 150, fy + 22, x0 + 150, fy + 38)
    s.line(x0 + 147, fy + 34, x0 + 150, fy + 38)
    s.line(x0 + 153, fy + 34, x0 + 150, fy + 38)
    scale = s.cell(x0, fy, 60, 20)
    s.caption("SCALE", scale, x0 + 1.5, fy + 16.7)
    s.field("sheet.scale", "1:100", scale, x0 + 1.5, fy + 9)
    for i in range(5):
        s.box(x0 + 5 + i * 8, fy + 3, 8, 2)
    s.pair("sheet.date", "DATE", "2031-05-09", x0 + 60, fy, 60, 20)
    s.pair("sheet.number", "DRAWING NO.", "A-401", x0 + 120, fy, 60, 20, 7)
    return s


def left_strip():
    """The strip stands on the left, its text runs upward, its captions carry two languages."""
    s = Sheet("left-strip", "ISO A1", margins=(10, 10))
    s.frame_and_edge(False)
    fx, fy, fw, fh = s.frame
    s.line(fx + 50, fy, fx + 50, fy + fh)
    y = fy
    rows = [("sheet.number", "Plan-Nr. / Drawing no.", "A-101", 60, 7), ("sheet.scale", "Maßstab / Scale", "1:50", 60, 3.5), ("sheet.date", "Datum / Date", "14.02.2030", 60, 3.5), ("sheet.title", "Planinhalt / Title", "Grundriss Erdgeschoss", 150, 5), ("project.name", "Projekt / Project", "Neubau Kindertagesstätte", 150, 5)]
    for key, caption, words, h, size in rows:
        cell = s.cell(fx, y, 50, h)
        s.caption(caption, cell, fx + 4, y + 2, 1.8, 90)
        s.field(key, words, cell, fx + 30, y + 2, size, 90)
        y += h
        s.line(fx, y, fx + 50, y)
    s.cell(fx, y, 50, fy + fh - y)
    for i, words in enumerate(["Küche", "Bad", "Flur", "Büro 1", "Büro 2", "Lager", "Technik", "Foyer"]):
        s.write_text(words, 200 + 60 * i, 300, 2.5)
    return s


def people_table():
    """A table of people: rows for drawn, checked and approved, columns for name and date, without headings over the words."""
    s = Sheet("words-in-the-office-way", "ISO A1")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 170
    s.box(x0, fy, 170, 70)
    for y in (14, 28, 42, 56):
        s.line(x0, fy + y, x0 + 170, fy + y)
    s.line(x0 + 85, fy, x0 + 85, fy + 42)
    s.pair("project.name", "NAME OF PROJECT", "Mill Lane Infants School", x0, fy + 56, 170, 14, 3.5)
    s.pair("sheet.title", "TITLE OF DRAWING", "Ground floor plan", x0, fy + 42, 170, 14, 3.5)
    s.pair("project.client", "CLIENT / EMPLOYER", "Fenwick & Rowe Ltd", x0, fy + 28, 85, 14)
    s.pair("project.number", "OUR REF.", "31-044", x0 + 85, fy + 28, 85, 14)
    s.pair("sheet.drawnBy", "Drn. by", "MO", x0, fy + 14, 85, 14)
    s.pair("sheet.checkedBy", "Chkd. by", "TL", x0 + 85, fy + 14, 85, 14)
    s.pair("sheet.number", "Dwg. Number", "A-101", x0, fy, 85, 14, 5)
    s.pair("sheet.revision", "Rev'n", "C", x0 + 85, fy, 85, 14, 5)
    return s


def open_corner():
    """The frame is three lines and a half: the block's own outline closes it; lines miss each other by up to 0.8 mm."""
    s = Sheet("open-corner", "ISO A2")
    fx, fy, fw, fh = s.frame
    s.box(0, 0, s.W, s.H)
    x0, h = fx + fw - 170, 48
    s.line(fx - 0.4, fy, x0 + 0.3, fy)
    s.line(fx, fy + 0.5, fx, fy + fh)
    s.line(fx, fy + fh, fx + fw - 0.5, fy + fh)
    s.line(fx + fw, fy + fh + 0.6, fx + fw, fy + h - 0.4)
    s.box(x0, fy, 170, h)
    s.line(x0 + 0.7, fy + 32, x0 + 170.5, fy + 32)
    s.line(x0, fy + 16.05, x0 + 169.4, fy + 16)
    s.line(x0 + 85, fy - 0.5, x0 + 85, fy + 32.6)
    s.pair("project.name", "PROYECTO", "Rehabilitación del Mercado", x0, fy + 32, 170, 16, 5)
    s.pair("sheet.title", "PLANO", "Alzado sur", x0, fy + 16, 85, 16, 3.5)
    s.pair("sheet.number", "N.º DE PLANO", "A-201", x0 + 85, fy + 16, 85, 16, 5)
    s.pair("sheet.scale", "ESCALA", "1:100", x0, fy, 85, 16)
    s.pair("sheet.date", "FECHA", "14/02/2030", x0 + 85, fy, 85, 16)
    return s


def template_of_attributes():
    """A template: the values are attribute definitions that nobody has filled yet."""
    s = Sheet("template-of-attributes", "ISO A3")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 180
    s.box(x0, fy, 180, 48)
    s.line(x0, fy + 32, x0 + 180, fy + 32)
    s.line(x0, fy + 16, x0 + 180, fy + 16)
    s.line(x0 + 90, fy, x0 + 90, fy + 32)
    rows = [("project.name", "PROJECT", "PROJ_NAME", 0, 32, 180), ("sheet.title", "TITLE", "TITLE_1", 0, 16, 90), ("sheet.number", "DRAWING NO", "DWG_NO", 90, 16, 90), ("sheet.drawnBy", "DRAWN BY", "DRAWN", 0, 0, 90), ("sheet.date", "DATE", "DATE", 90, 0, 90)]
    for key, caption, tag, x, y, w in rows:
        cell = s.cell(x0 + x, fy + y, w, 16)
        s.caption(caption, cell, x0 + x + 1.5, fy + y + 12.7)
        s.space.add_attdef(tag, dxfattribs={"insert": (x0 + x + 2, fy + y + 3), "height": 3.5, "layer": "TEXT", "text": "", "prompt": caption})
        s.empty.append(dict(parameter=key, cell=cell))
    return s


def two_languages_under_each_other():
    """Each caption stands in two languages, one under the other."""
    s = Sheet("two-languages", "ISO A1")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 180
    s.box(x0, fy, 180, 72)
    s.line(x0, fy + 48, x0 + 180, fy + 48)
    s.line(x0, fy + 24, x0 + 180, fy + 24)
    s.line(x0 + 60, fy, x0 + 60, fy + 24)
    s.line(x0 + 120, fy, x0 + 120, fy + 24)
    rows = [("project.name", "Projekt", "Projet", "Groupe scolaire Les Tilleuls", 0, 48, 180, 5), ("sheet.title", "Planinhalt", "Titre du plan", "Coupe AA", 0, 24, 180, 5), ("sheet.scale", "Maßstab", "Échelle", "1:50", 0, 0, 60, 3.5), ("sheet.date", "Datum", "Date", "14.02.2030", 60, 0, 60, 3.5), ("sheet.number", "Plan-Nr.", "N° de plan", "A-301", 120, 0, 60, 7)]
    for key, one, two, words, x, y, w, size in rows:
        cell = s.cell(x0 + x, fy + y, w, 24)
        s.caption(one, cell, x0 + x + 2, fy + y + 20)
        s.caption(two, cell, x0 + x + 2, fy + y + 17)
        s.field(key, words, cell, x0 + x + 2, fy + y + 4, size)
    return s


def blanks_to_fill():
    """Captions with colons and values on one line, blanks of underscores, a value over its caption."""
    s = Sheet("blanks-to-fill", "ISO A2")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 160
    s.box(x0, fy, 160, 60)
    s.line(x0, fy + 40, x0 + 160, fy + 40)
    s.line(x0, fy + 20, x0 + 160, fy + 20)
    s.line(x0 + 80, fy, x0 + 80, fy + 40)
    s.pair("project.name", "PROJECT:", "Ferry Terminal", x0, fy + 40, 160, 20, 5)
    for key, caption, words, x, y in [("sheet.date", "Date:", "________", 0, 20), ("sheet.checkedBy", "Checked by:", "", 80, 20)]:
        cell = s.cell(x0 + x, fy + y, 80, 20)
        s.captions.append(dict(text=caption, cell=cell, height=2.5))
        s.write_text((caption + " " + words).strip(), x0 + x + 2, fy + y + 8, 2.5)
        s.empty.append(dict(parameter=key, cell=cell))
    cell = s.cell(x0, fy, 80, 20)
    s.caption("Drawn by", cell, x0 + 2, fy + 2)
    s.field("sheet.drawnBy", "Rhona Vale", cell, x0 + 2, fy + 10, 3.5)
    s.pair("sheet.number", "Sheet number", "A-501", x0 + 80, fy, 80, 20, 7)
    return s


def upright_sheet():
    """An upright A3 sheet with a block along its lower edge, rounded at the frame's corners."""
    s = Sheet("upright-sheet", "ISO A3")
    s.W, s.H = 297, 420
    s.frame = (10, 10, 277, 400)
    s.box(0, 0, s.W, s.H)
    fx, fy, fw, fh = s.frame
    r, b = 3, 0.41421356
    points = [(fx + r, fy, 0), (fx + fw - r, fy, b), (fx + fw, fy + r, 0), (fx + fw, fy + fh - r, b), (fx + fw - r, fy + fh, 0), (fx + r, fy + fh, b), (fx, fy + fh - r, 0), (fx, fy + r, b)]
    s.space.add_lwpolyline(points, format="xyb", close=True, dxfattribs={"layer": "RAHMEN"})
    s.line(fx, fy + 45, fx + fw, fy + 45)
    s.line(fx + 100, fy, fx + 100, fy + 45)
    s.line(fx + 200, fy, fx + 200, fy + 45)
    s.line(fx + 100, fy + 22, fx + 200, fy + 22)
    s.line(fx + 200, fy + 22, fx + fw, fy + 22)
    s.pair("project.client", "CLIENT", "Ville de Montclair", fx, fy, 100, 45, 3.5)
    s.pair("project.name", "AFFAIRE", "Médiathèque du Parc", fx + 100, fy + 22, 100, 23, 3.5)
    s.pair("sheet.title", "INTITULÉ", "Plan du rez-de-chaussée", fx + 100, fy, 100, 22, 3.5)
    s.pair("sheet.scale", "ÉCHELLE", "1:100", fx + 200, fy + 22, 77, 23, 3.5)
    s.pair("sheet.number", "PLANCHE", "A-101", fx + 200, fy, 77, 22, 7)
    return s


def only_an_edge():
    """There is no frame, only the edge of the sheet and a block 10 mm inside of it."""
    s = Sheet("only-an-edge", "ISO A3")
    s.frame = (0, 0, 420, 297)
    s.box(0, 0, s.W, s.H)
    x0, y0 = 230, 10
    s.box(x0, y0, 180, 40)
    s.line(x0, y0 + 20, x0 + 180, y0 + 20)
    s.line(x0 + 120, y0, x0 + 120, y0 + 40)
    s.pair("project.name", "PROJEKT", "Umbau Alte Mühle", x0, y0 + 20, 120, 20, 5)
    s.pair("sheet.title", "INHALT", "Schnitt B-B", x0, y0, 120, 20, 5)
    s.pair("sheet.scale", "M.", "1:50", x0 + 120, y0 + 20, 60, 20, 3.5)
    s.pair("sheet.number", "BLATT", "A-301", x0 + 120, y0, 60, 20, 7)
    return s


def small_block():
    """A block of few cells, its number in a circle, its texts justified to the right and squeezed."""
    s = Sheet("few-cells", "ISO A1")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 120
    s.box(x0, fy, 120, 40)
    s.line(x0 + 85, fy, x0 + 85, fy + 40)
    s.line(x0, fy + 20, x0 + 85, fy + 20)
    for key, caption, words, y in [("project.name", "PROJECT", "Mill Lane Infants School", 20), ("sheet.title", "DRAWING", "Ground floor plan", 0)]:
        cell = s.cell(x0, fy + y, 85, 20)
        s.caption(caption, cell, x0 + 2, fy + y + 16)
        s.fields.append(dict(text=words, parameter=key, cell=cell, height=5))
        t = s.space.add_text(words, dxfattribs={"height": 5, "width": 0.7, "layer": "TEXT"})
        t.set_pos((x0 + 82, fy + y + 4), align="RIGHT")
    cell = s.cell(x0 + 85, fy, 35, 40)
    s.caption("SHEET", cell, x0 + 87, fy + 36)
    s.space.add_circle((x0 + 102.5, fy + 18), 14, dxfattribs={"layer": "RAHMEN"})
    s.fields.append(dict(text="A-101", parameter="sheet.number", cell=cell, height=5))
    t = s.space.add_text("A-101", dxfattribs={"height": 5, "layer": "TEXT"})
    t.set_pos((x0 + 102.5, fy + 18), align="MIDDLE_CENTER")
    return s


def people_by_rows():
    """A form of rows for people, with columns for a date and a name under headings of their own."""
    s = Sheet("people-by-rows", "ISO A2")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 180
    s.box(x0, fy, 180, 54)
    s.line(x0, fy + 32, x0 + 180, fy + 32)
    s.line(x0 + 90, fy, x0 + 90, fy + 32)
    for i in range(1, 4):
        s.line(x0, fy + 8 * i, x0 + 90, fy + 8 * i)
    s.line(x0 + 25, fy, x0 + 25, fy + 32)
    s.line(x0 + 60, fy, x0 + 60, fy + 32)
    s.pair("project.name", "BAUVORHABEN", "Umbau Alte Mühle", x0, fy + 32, 180, 22, 5)
    s.cell(x0, fy + 24, 25, 8)
    s.caption("Datum", s.cell(x0 + 25, fy + 24, 35, 8), x0 + 27, fy + 26, 2.5)
    name = s.cell(x0 + 60, fy + 24, 30, 8)
    s.caption("Name", name, x0 + 62, fy + 26, 2.5)
    rows = [("sheet.drawnBy", "gez.", "MO"), ("sheet.checkedBy", "gepr.", "TL"), ("sheet.approvedBy", "freig.", "RH")]
    for i, (key, caption, words) in enumerate(rows):
        y = fy + 16 - 8 * i
        s.caption(caption, s.cell(x0, y, 25, 8), x0 + 2, y + 2.5, 2.5)
        date = s.cell(x0 + 25, y, 35, 8)
        s.write_text("14.02.2030", x0 + 27, y + 2.5, 2.5)
        assert date
        s.field(key, words, s.cell(x0 + 60, y, 30, 8), x0 + 62, y + 2.5, 2.5)
    s.pair("sheet.number", "PLAN-NR.", "A-101", x0 + 90, fy, 90, 32, 7)
    return s


def lines_in_one_text():
    """Captions and values stand line by line in one text; numbers and signs stand before captions."""
    s = Sheet("lines-in-one-text", "ISO A1")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 180
    s.box(x0, fy, 180, 70)
    s.line(x0, fy + 50, x0 + 180, fy + 50)
    s.line(x0, fy + 30, x0 + 180, fy + 30)
    s.line(x0 + 100, fy, x0 + 100, fy + 30)
    s.pair("project.name", "1. Project", "Harbour Library", x0, fy + 50, 180, 20, 5)
    s.pair("sheet.title", "2) Drawing title", "North elevation", x0, fy + 30, 180, 20, 5)
    cell = s.cell(x0, fy, 100, 30)
    rows = [("sheet.drawnBy", "DRAWN BY:", "MO"), ("sheet.checkedBy", "CHECKED BY:", "TL"), ("sheet.date", "DATE:", "12/03/2031"), ("sheet.scale", "SCALE:", "1:100")]
    for key, caption, words in rows:
        s.captions.append(dict(text=caption, cell=cell, height=2.5))
        s.fields.append(dict(text=words, parameter=key, cell=cell, height=2.5))
    m = s.space.add_mtext("\\P".join("%s %s" % (c, v) for _, c, v in rows), dxfattribs={"insert": (x0 + 3, fy + 26), "char_height": 2.5, "layer": "TEXT", "width": 90})
    m.dxf.attachment_point = 1
    s.pair("sheet.number", "DWG #", "A-201", x0 + 100, fy, 80, 30, 7)
    return s


def letters_apart():
    """Captions are set with their letters apart, ligatures and primes stand in them."""
    s = Sheet("letters-apart", "ISO A3")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 180
    s.box(x0, fy, 180, 54)
    for y in (18, 36):
        s.line(x0, fy + y, x0 + 180, fy + y)
    s.line(x0 + 90, fy, x0 + 90, fy + 54)
    s.pair("office.name", "MAÎTRE D’ŒUVRE", "Atelier Quatre Vents", x0, fy + 36, 90, 18, 3.5)
    s.pair("project.client", "M A Î T R E   D ' O U V R A G E", "Ville de Montclair", x0 + 90, fy + 36, 90, 18, 3.5)
    s.pair("project.name", "P R O J E T", "Groupe scolaire Les Tilleuls", x0, fy + 18, 90, 18, 3.5)
    s.pair("sheet.title", "T I T R E", "Coupe AA", x0 + 90, fy + 18, 90, 18, 3.5)
    s.pair("sheet.scale", "ÉCHELLE(S)", "1:50", x0, fy, 90, 18, 3.5)
    s.pair("sheet.number", "PLAN Nº", "A-301", x0 + 90, fy, 90, 18, 5)
    return s


def double_dividers():
    """Every divider is two lines 1 mm apart, and a table of revisions is filled."""
    s = Sheet("double-dividers", "ISO A1")
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 180
    s.box(x0, fy, 180, 45)
    s.line(x0, fy + 15, x0 + 180, fy + 15)
    s.line(x0, fy + 30, x0 + 180, fy + 30)
    s.line(x0 + 60, fy, x0 + 60, fy + 15)
    s.line(x0 + 120, fy, x0 + 120, fy + 15)
    s.pair("project.name", "PROYECTO", "Bodegas del Encinar", x0, fy + 30, 180, 15, 5)
    s.pair("sheet.title", "TÍTULO", "Sección longitudinal", x0, fy + 15, 180, 15, 5)
    s.pair("sheet.scale", "ESCALA", "1:50", x0, fy, 60, 15)
    s.pair("sheet.date", "FECHA", "14/02/2030", x0 + 60, fy, 60, 15)
    s.pair("sheet.number", "PLANO Nº", "A-101", x0 + 120, fy, 60, 15, 5)
    # The table stands on the block: headings below, entries upward.
    y0, rows, h = fy + 45, 6, 7
    s.box(x0, y0, 180, rows * h)
    for i in range(1, rows):
        s.line(x0, y0 + i * h, x0 + 180, y0 + i * h)
    for x in (20, 140):
        s.line(x0 + x, y0, x0 + x, y0 + rows * h)
    for words, x in (("Rev.", 0), ("Modificación", 20), ("Fecha", 140)):
        s.captions.append(dict(text=words, cell=None, height=2.5))
        s.write_text(words, x0 + x + 2, y0 + 2, 2.5)
    for i, (a, b, c) in enumerate([("A", "Primera emisión", "01/02/2030"), ("B", "Huecos de fachada", "14/02/2030")]):
        for words, x in ((a, 0), (b, 20), (c, 140)):
            s.write_text(words, x0 + x + 2, y0 + (i + 1) * h + 2, 2.5)
    s.tables.append(dict(kind="revisions", x=x0, y=y0, width=180, height=rows * h, columns=["Rev.", "Modificación", "Fecha"]))
    return s


if __name__ == "__main__":
    for make in (captions_in_cells_of_their_own, headings_over_values, several_in_one_cell, boxes_with_gaps, apart_from_the_frame, words_before_values,
                 bars_for_lines, values_in_lines, two_frames_and_marks, left_strip, people_table,
                 open_corner, template_of_attributes, two_languages_under_each_other, blanks_to_fill, upright_sheet, only_an_edge, small_block,
                 people_by_rows, lines_in_one_text, letters_apart, double_dividers):
        make().write(sys.argv[1])
