#!/usr/bin/python3
"""Draws blocks with boxes to tick, marks and pictures, and words of languages that few know, and writes beside each what stands in it.

usage: marksAndTongues.py FOLDER SEED COUNT

Each habit is drawn COUNT times with lengths, words and places by chance, SEED and those after it.
"""
import random
import sys

from oddHabits import Sheet
from unlikelySheets import block, usual_rows


def tick(s, r, how, x, y, side):
    """What ticks a box whose lower left corner is given."""
    if how == "cross":
        s.line(x, y, x + side, y + side)
        s.line(x, y + side, x + side, y)
    elif how == "hook":
        s.line(x + 0.2 * side, y + 0.5 * side, x + 0.45 * side, y + 0.1 * side)
        s.line(x + 0.45 * side, y + 0.1 * side, x + 1.2 * side, y + 1.2 * side)
    elif how == "letter":
        s.write_text("X", x + 0.15 * side, y + 0.12 * side, 0.75 * side)
    else:
        s.space.add_solid([s.at(x, y), s.at(x + side, y), s.at(x, y + side), s.at(x + side, y + side)], dxfattribs={"layer": "RAHMEN"})


def small_box(s, r, shape, x, y, side):
    if shape == "lines":
        for a, b in (((x, y), (x + side, y)), ((x + side, y), (x + side, y + side)), ((x + side, y + side), (x, y + side)), ((x, y + side), (x, y))):
            s.line(*a, *b)
    elif shape == "circle":
        s.space.add_circle(s.at(x + side / 2, y + side / 2), side / 2 * s.unit, dxfattribs={"layer": "RAHMEN"})
    else:
        s.box(x, y, side, side)


CHOICES = [
    ("sheet.status", "STATUS", ["Preliminary", "Tender", "Construction", "As built"]),
    ("sheet.status", "PLANSTATUS", ["Vorentwurf", "Entwurf", "Genehmigung", "Ausführung"]),
    ("sheet.issuePurpose", "ISSUED FOR", ["Approval", "Tender", "Construction"]),
    (None, "FIRE CLASS", ["EI 30", "EI 60", "EI 90"]),
    (None, "SECURITY", ["Open", "Restricted", "Confidential"]),
    ("sheet.discipline", "DISCIPLINE", ["Architecture", "Structure", "Interiors", "Landscape"]),
]


def options(s, key, words, ticked, cell, height):
    s.options.append(dict(text=words, parameter=key, ticked=ticked, cell=cell, height=height))


def boxes_to_tick(r, name):
    """Words beside boxes, of which one is ticked: under one another or in a row, drawn in several ways, or typed."""
    s = Sheet(name, r.choice(["ISO A1", "ISO A2"]), unit=r.choice([1.0, 1.0, 50.0]))
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0, w = fx + fw - 180, 180
    y0 = fy + block(s, r, x0, fy, w, usual_rows(r))
    key, caption, words = r.choice(CHOICES)
    which, height, side = r.randrange(len(words)), r.choice([2.0, 2.5]), r.choice([2.5, 3.0, 3.5])
    shape, how = r.choice(["lines", "box", "box", "circle"]), r.choice(["cross", "hook", "letter", "full"])
    below = r.random() < 0.5
    h = 12 + 6 * len(words) if below else 18
    s.line(x0, y0, x0, y0 + h)
    s.line(x0, y0 + h, x0 + w, y0 + h)
    cut = x0 + (70 if below else w)
    if below:
        s.line(cut, y0, cut, y0 + h)
        s.pair("sheet.notes", "NOTES", "Do not scale.", cut, y0, w - 70, h)
    cell = s.cell(x0, y0, cut - x0, h)
    s.caption(caption, cell, x0 + 2, y0 + h - 4.5)
    typed = r.random() < 0.25
    step = (w - 10) / len(words)
    for i, each in enumerate(words):
        x, y = (x0 + 3, y0 + h - 11 - 6 * i) if below else (x0 + 3 + i * step, y0 + 4)
        if typed:
            s.write_text("[%s] %s" % ("x" if i == which else " ", each), x, y, height)
        else:
            small_box(s, r, shape, x, y - (side - height) / 2, side)
            if i == which:
                tick(s, r, how, x, y - (side - height) / 2, side)
            s.write_text(each, x + side + 1.5, y, height)
        options(s, key, each, i == which, cell, height)
    return s


def boxes_in_cells(r, name):
    """Boxes and their words in cells of their own under, or behind, a cell with their caption."""
    s = Sheet(name, r.choice(["ISO A1", "ISO A2"]))
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0, w = fx + fw - 180, 180
    y0 = fy + block(s, r, x0, fy, w, usual_rows(r))
    key, caption, words = r.choice([each for each in CHOICES if each[0]])
    which, side, shape, how = r.randrange(len(words)), 3.0, r.choice(["lines", "box"]), r.choice(["cross", "full", "hook"])
    over = r.random() < 0.5
    h = 8
    n = len(words) + (0 if over else 1)
    each_w = w / n
    if over:
        s.caption(caption, s.cell(x0, y0 + h, w, 6), x0 + 2, y0 + h + 2, 2.0)
        s.line(x0, y0 + h + 6, x0 + w, y0 + h + 6)
    else:
        s.caption(caption, s.cell(x0, y0, each_w, h), x0 + 2, y0 + 3, 2.0)
    s.line(x0, y0, x0, y0 + h + (6 if over else 0))
    s.line(x0, y0 + h, x0 + w, y0 + h)
    for i, each in enumerate(words):
        x = x0 + (i + (0 if over else 1)) * each_w
        if x > x0:
            s.line(x, y0, x, y0 + h)
        cell = s.cell(x, y0, each_w, h)
        small_box(s, r, shape, x + 2, y0 + 2.5, side)
        if i == which:
            tick(s, r, how, x + 2, y0 + 2.5, side)
        s.write_text(each, x + 2 + side + 1.5, y0 + 3, 2.0)
        options(s, key, each, i == which, cell, 2.0)
    return s


# Words of trade use, from memory: nobody of the office reads them.
TONGUES = [
    [("VERKNAAM", "Bibliotheek Steenweg"), ("BESTEK", "Gemeente Lindenau"), ("NAZICHT", "MO"), ("OPSTELLER", "TL"), ("FASERING", "DO")],
    [("RAKENNUSKOHDE", "Satamakatu 4"), ("TILAAJA", "Lindenaun kaupunki"), ("PIIRTÄJÄ", "MO"), ("SISÄLTÖ", "Pohjakuva"), ("JUOKSEVA", "101")],
    [("OBIEKT", "Biblioteka"), ("INWESTOR", "Gmina Lindenau"), ("BRANŻA", "ARCH"), ("STADIUM", "PB"), ("OPRACOWAŁ", "MO")],
    [("ÉPÍTTETŐ", "Lindenau Város"), ("MUNKA", "Könyvtár"), ("RAJZSZÁM", "E-12"), ("LÉPTÉK", "M50"), ("SZERKESZTŐ", "MO")],
]


def unknown_tongue(r, name):
    """Captions of a language that the lexicon does not have, smaller than, as high as, or beside what they head."""
    s = Sheet(name, r.choice(["ISO A1", "ISO A3"]))
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0, w, y = fx + fw - 180, 180, fy
    rows = r.choice(TONGUES)
    small, size = r.choice([(1.8, 2.5), (2.5, 3.5), (2.5, 2.5)])
    capitals = r.random() < 0.7
    # What is known of it: a scale and a date that say so themselves.
    s.pair("sheet.scale", "SCALE", "1:50", x0, y, w / 2, 14, size, small)
    s.pair("sheet.date", "DATE", "12/03/2031", x0 + w / 2, y, w / 2, 14, size, small)
    s.line(x0 + w / 2, y, x0 + w / 2, y + 14)
    s.line(x0, y + 14, x0 + w, y + 14)
    y += 14
    for i in range(0, len(rows) - 1, 2):
        for k, (caption, words) in enumerate(rows[i : i + 2]):
            x = x0 + k * w / 2
            cell = s.cell(x, y, w / 2, 14)
            s.caption(caption if capitals else caption.capitalize(), cell, x + 1.5, y + 14 - 1.5 - small, small)
            s.notes.append(dict(text=words, cell=cell, height=size))
            s.write_text(words, x + 1.5, y + 1.5, size)
        s.line(x0 + w / 2, y, x0 + w / 2, y + 14)
        s.line(x0, y + 14, x0 + w, y + 14)
        y += 14
    s.line(x0, fy, x0, y)
    return s


def titles_in_lines(r, name):
    """A title of three lines and a client of two, each a text of its own or one with breaks, at the top, the middle or the bottom."""
    s = Sheet(name, r.choice(["ISO A1", "ISO A2"]))
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0, w = fx + fw - 180, 180
    y0 = fy + block(s, r, x0, fy, w, [usual_rows(r)[0]])
    texts = [("sheet.title", "DRAWING TITLE", ["Ground floor plan", "Sections A-A and B-B", "Details of the roof"], 90), ("project.client", "CLIENT", ["Lindenau Town Council", "Harbour Street 4"], 90)]
    h, size = 40, r.choice([2.5, 3.5])
    s.line(x0, y0 + h, x0 + w, y0 + h)
    s.line(x0, fy, x0, y0 + h)
    s.line(x0 + 90, y0, x0 + 90, y0 + h)
    for i, (key, caption, lines, wide) in enumerate(texts):
        x = x0 + 90 * i
        cell = s.cell(x, y0, wide, h)
        s.caption(caption, cell, x + 2, y0 + h - 4)
        top = {"top": y0 + h - 8 - size, "middle": y0 + h / 2 + size, "bottom": y0 + 3 + (len(lines) - 1) * 1.6 * size}[r.choice(["top", "middle", "bottom"])]
        for k, words in enumerate(lines):
            s.fields.append(dict(text=words, parameter=key, cell=cell, height=size))
            s.write_text(words, x + 2, top - 1.6 * size * k, size)
    return s


def marks(r, name):
    """A north arrow with its letter, a scale bar with its figures and a filled emblem stand in cells of the block."""
    s = Sheet(name, r.choice(["ISO A1", "ISO A2"]))
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0, w = fx + fw - 180, 180
    y0 = fy + block(s, r, x0, fy, w, usual_rows(r))
    h = 32
    s.line(x0, y0, x0, y0 + h)
    s.line(x0, y0 + h, x0 + w, y0 + h)
    for x in (60, 120):
        s.line(x0 + x, y0, x0 + x, y0 + h)
    # North: a circle, a needle and an N.
    cell = s.cell(x0, y0, 60, h)
    cx, cy, rad = x0 + 30, y0 + 13, 9
    s.space.add_circle(s.at(cx, cy), rad * s.unit, dxfattribs={"layer": "RAHMEN"})
    if r.random() < 0.5:
        s.space.add_solid([s.at(cx - 3, cy - rad), s.at(cx + 3, cy - rad), s.at(cx, cy + rad), s.at(cx, cy + rad)], dxfattribs={"layer": "RAHMEN"})
    else:
        s.line(cx, cy - rad, cx, cy + rad)
        s.line(cx - 2, cy + rad - 4, cx, cy + rad)
        s.line(cx + 2, cy + rad - 4, cx, cy + rad)
    s.notes.append(dict(text="N", cell=cell, height=3.5))
    s.write_text("N", cx - 1.3, cy + rad + 2, 3.5)
    # A scale bar of five parts, every other one filled.
    cell = s.cell(x0 + 60, y0, 60, h)
    for i in range(5):
        x = x0 + 65 + 10 * i
        s.box(x, y0 + 8, 10, 2)
        if i % 2 == 0:
            s.space.add_solid([s.at(x, y0 + 8), s.at(x + 10, y0 + 8), s.at(x, y0 + 10), s.at(x + 10, y0 + 10)], dxfattribs={"layer": "RAHMEN"})
        s.notes.append(dict(text=str(i), cell=cell, height=1.8))
        s.write_text(str(i), x, y0 + 12, 1.8)
    s.notes.append(dict(text="5 m", cell=cell, height=1.8))
    s.write_text("5 m", x0 + 113, y0 + 12, 1.8)
    # An emblem of filled areas, as hatches.
    s.cell(x0 + 120, y0, 60, h)
    for i in range(r.randint(2, 4)):
        hatch = s.space.add_hatch(color=5, dxfattribs={"layer": "LOGO"})
        x = x0 + 130 + 10 * i
        hatch.paths.add_polyline_path([s.at(x, y0 + 6), s.at(x + 8, y0 + 6), s.at(x + 4, y0 + 6 + 5 * (i + 1))], is_closed=True)
    s.doc.layers.new("LOGO")
    # A picture whose file lies beside the drawing, and a cell with a grey ground.
    y1, h1 = y0 + h, 20
    s.line(x0, y1 + h1, x0 + w, y1 + h1)
    s.line(x0, y1, x0, y1 + h1)
    s.line(x0 + 90, y1, x0 + 90, y1 + h1)
    cell = s.cell(x0, y1, 90, h1)
    mark = s.doc.add_image_def("C:\\\\office\\\\logos\\\\quill.png", size_in_pixel=(400, 100))
    s.space.add_image(mark, s.at(x0 + 5, y1 + 4), (48 * s.unit, 12 * s.unit), dxfattribs={"layer": "LOGO"})
    s.pictures.append(dict(name="quill.png", cell=cell, x=x0 + 5, y=y1 + 4, width=48, height=12))
    ground = s.space.add_hatch(color=254, dxfattribs={"layer": "LOGO"})
    ground.paths.add_polyline_path([s.at(x0 + 90, y1), s.at(x0 + w, y1), s.at(x0 + w, y1 + h1), s.at(x0 + 90, y1 + h1)], is_closed=True)
    s.pair("sheet.status", "STATUS", "Tender", x0 + 90, y1, 90, h1)
    return s


HABITS = (boxes_to_tick, boxes_in_cells, unknown_tongue, titles_in_lines, marks)

if __name__ == "__main__":
    folder, seed, count = sys.argv[1], int(sys.argv[2]), int(sys.argv[3])
    for make in HABITS:
        for i in range(count):
            make(random.Random(1000 * HABITS.index(make) + seed + i), "%s-%d" % (make.__name__.replace("_", "-"), seed + i)).write(folder)
