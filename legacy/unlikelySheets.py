#!/usr/bin/python3
"""Draws sheets that are in no list and blocks that are hard to tell from the drawing, and writes beside each what stands in it.

usage: unlikelySheets.py FOLDER SEED COUNT

Each habit is drawn COUNT times with lengths, words and places by chance, SEED and those after it.
"""
import random
import sys

from oddHabits import SIZES, Sheet


def block(s, r, x0, y0, w, rows):
    """Rows from below, each a list of (key, caption, value); returns how high they are together."""
    y = y0
    for h, pairs, size in rows:
        each = w / len(pairs)
        s.line(x0, y + h, x0 + w, y + h)
        for i, (key, caption, words) in enumerate(pairs):
            if i:
                s.line(x0 + i * each, y, x0 + i * each, y + h)
            s.pair(key, caption, words, x0 + i * each, y, each, h, size)
        y += h
    s.line(x0, y0, x0, y)
    return y - y0


PEOPLE = [("sheet.drawnBy", "DRAWN", "MO"), ("sheet.checkedBy", "CHECKED", "TL"), ("sheet.date", "DATE", "12/03/2031"), ("sheet.scale", "SCALE", "1:50")]


def usual_rows(r):
    return [(14, PEOPLE[: r.choice([3, 4])], 2.5), (18, [("sheet.title", "DRAWING TITLE", r.choice(["North elevation", "Roof plan"])), ("sheet.number", "DRG NO", "A-%d" % r.randint(101, 399))], 3.5),
            (20, [("project.name", "PROJECT", "Quarry Road Library")], 5), (16, [("project.client", "CLIENT", "Lindenau Town Council")], 3.5)]


def own_size(r, name, width, height, margins, unit=1.0):
    label = "%g x %g mm" % (width, height)
    SIZES[label] = (width, height)
    s = Sheet(name, label, unit=unit, margins=margins)
    s.frame_and_edge()
    fx, fy, fw, fh = s.frame
    if r.random() < 0.5 or fh < 150:
        block(s, r, fx + fw - 180, fy, 180, usual_rows(r))
    else:
        x0 = fx + fw - 90
        high = block(s, r, x0, fy, 90, usual_rows(r))
        s.line(x0, fy + high, x0, fy + fh)
        s.cell(x0, fy + high, 90, fh - high)
    return s


def round_lengths(r, name):
    """A format of the office's own in round lengths."""
    width, height = r.choice([(900, 600), (700, 1000), (1000, 700), (750, 500), (800, 600), (950, 640)])
    return own_size(r, name, width, height, r.choice([(20, 10), (15, 15), (10, 10), (25, 7)]), r.choice([1.0, 1.0, 50.0, 100.0, 0.001, 0.1]))


def lengthened(r, name):
    """A listed format made longer: half as long again, twice as long, or a strip."""
    width, height = r.choice([(1261.5, 594), (1682, 594), (891, 420), (1200, 297), (1189, 420), (630, 297)])
    return own_size(r, name, width, height, r.choice([(20, 10), (10, 10)]), r.choice([1.0, 1.0, 50.0, 0.1]))


def plan_with_words(r, name):
    """A plan of walls that hang together, with words of the drawing office among its rooms; an axis of it may run to the frame."""
    s = Sheet(name, r.choice(["ISO A1", "ISO A2"]), unit=r.choice([1.0, 50.0]))
    s.frame_and_edge()
    fx, fy, fw, fh = s.frame
    block(s, r, fx + fw - 180, fy, 180, usual_rows(r))
    across, up = r.randint(18, 42), r.randint(10, 24)
    x0, y0 = fx + 20, fy + 95
    dx, dy = (fw - 240) / across, (fh - 120) / up
    if r.random() < 0.5:
        s.line(x0 + 3 * dx, y0, x0 + 3 * dx, fy + fh, "PLAN")
    # Walls: a grid of which some pieces are doors.
    for i in range(across + 1):
        s.line(x0 + i * dx, y0, x0 + i * dx, y0 + up * dy, "PLAN")
    for j in range(up + 1):
        for i in range(across):
            if r.random() < 0.9 or j in (0, up):
                s.line(x0 + i * dx, y0 + j * dy, x0 + (i + 1) * dx, y0 + j * dy, "PLAN")
    for words in r.sample(["Project room", "Office", "Project", "Plan", "Client", "Store", "Drawing", "Archive", "Date", "Kitchen", "Index"], r.randint(3, 6)):
        i, j = r.randrange(across), r.randrange(up)
        s.space.add_text(words, dxfattribs={"insert": s.at(x0 + (i + 0.1) * dx, y0 + (j + 0.3) * dy), "height": 1.8 * s.unit, "layer": "PLAN"})
    s.unrelated.append("PLAN")
    return s


def dividers_stop_short(r, name):
    """Dividers over each other, of which some end up to half a millimetre short of the line between them."""
    s = Sheet(name, r.choice(["ISO A1", "ISO A3"]))
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0, w, h, n = fx + fw - 180, 180, 14, r.choice([3, 4])
    rows = [PEOPLE[:n], [("project.number", "JOB NO", "2417"), ("sheet.revision", "REV", "B"), ("sheet.number", "SHEET NO", "A-201"), ("sheet.status", "STATUS", "TENDER")][:n],
            [("project.client", "CLIENT", "Lindenau Trust"), ("sheet.title", "TITLE", "Roof plan"), ("project.phase", "PHASE", "4"), ("sheet.approvedBy", "APPROVED", "RH")][:n]]
    for j, pairs in enumerate(rows):
        s.line(x0, fy + (j + 1) * h, x0 + w, fy + (j + 1) * h)
        for i, (key, caption, words) in enumerate(pairs):
            if i:
                short = lambda: r.choice([0, 0, 0.25, 0.3, 0.4, 0.5])
                x = x0 + i * w / n
                s.line(x, fy + j * h + (short() if j else 0), x, fy + (j + 1) * h - short())
            s.pair(key, caption, words, x0 + i * w / n, fy + j * h, w / n, h)
    s.pair("project.name", "PROJECT", "Quarry Road Library", x0, fy + 3 * h, w, 20, 5)
    s.line(x0, fy + 3 * h + 20, x0 + w, fy + 3 * h + 20)
    s.line(x0, fy, x0, fy + 3 * h + 20)
    return s


def several_things_in_a_cell(r, name):
    """Which sheet of how many, a name with its address under it, and captions of which one has nothing under it yet."""
    s = Sheet(name, r.choice(["ISO A1", "ISO A2"]))
    s.frame_and_edge()
    fx, fy, fw, _ = s.frame
    x0 = fx + fw - 180
    s.box(x0, fy, 180, 70)
    for y in (18, 38):
        s.line(x0, fy + y, x0 + 180, fy + y)
    s.line(x0 + 110, fy, x0 + 110, fy + 38)
    cell = s.cell(x0, fy + 38, 180, 32)
    s.caption("PROJECT", cell, x0 + 2, fy + 66)
    s.field("project.name", "Quarry Road Library", cell, x0 + 2, fy + 54, 7)
    s.field("project.address", r.choice(["4 Quarry Road, Brackenmouth", "Mill Lane 12, Tolliver Creek"]), cell, x0 + 2, fy + 43, 2.5)
    s.pair("sheet.title", "DRAWING TITLE", "North elevation", x0, fy + 18, 110, 20, 5)
    s.pair("sheet.number", "DRAWING NO", "A-%d" % r.randint(101, 399), x0 + 110, fy + 18, 70, 20, 7)
    cell = s.cell(x0, fy, 110, 18)
    s.caption("DRAWN", cell, x0 + 2, fy + 13)
    s.field("sheet.drawnBy", "MO", cell, x0 + 2, fy + 4)
    s.caption("CHECKED", cell, x0 + 40, fy + 13)
    s.empty.append(dict(parameter="sheet.checkedBy", cell=cell))
    s.caption("DATE", cell, x0 + 75, fy + 13)
    s.field("sheet.date", "12/03/2031", cell, x0 + 75, fy + 4)
    of = r.choice(["%d of %d", "%d/%d", "%d / %d"]) % (r.randint(1, 9), r.randint(10, 40))
    s.pair("sheet.position", "SHEET", of, x0 + 110, fy, 70, 18, 3.5)
    return s


def strip_with_grid(r, name):
    """A strip along the whole right edge with a grid of revisions in the middle of it."""
    s = Sheet(name, r.choice(["ISO A1", "ISO A2"]))
    s.frame_and_edge()
    fx, fy, fw, fh = s.frame
    w = r.choice([80, 90])
    x0 = fx + fw - w
    s.line(x0, fy, x0, fy + fh)
    low = block(s, r, x0, fy, w, usual_rows(r))
    row, n = r.choice([6, 7]), r.choice([5, 6, 8])
    y0, high = fy + low + r.choice([0, 40]), row * n
    if y0 > fy + low:
        s.cell(x0, fy + low, w, y0 - fy - low)
        s.line(x0, y0, x0 + w, y0)
    for i in range(1, n + 1):
        s.line(x0, y0 + i * row, x0 + w, y0 + i * row)
    for x in (12, w - 22):
        s.line(x0 + x, y0, x0 + x, y0 + high)
    heads = ["REV", "DESCRIPTION", "DATE"]
    top = r.random() < 0.5
    for words, x in zip(heads, (0, 12, w - 22)):
        y = y0 + (n - 1) * row if top else y0
        s.captions.append(dict(text=words, cell=None, height=1.8))
        s.write_text(words, x0 + x + 1.5, y + 2, 1.8)
    for i in range(r.choice([0, 1, 2])):
        y = y0 + (n - 2 - i) * row if top else y0 + (i + 1) * row
        for words, x in zip(("AB"[i], ["First issue", "Doors moved"][i], "12.03.31"), (0, 12, w - 22)):
            s.write_text(words, x0 + x + 1.5, y + 2, 1.8)
    s.tables.append(dict(kind="revisions", x=x0, y=y0, width=w, height=high, columns=heads))
    s.cell(x0, y0 + high, w, fy + fh - y0 - high)
    return s


LISTS = {
    "CONSULTANTS": ["Structure: Aldous & Vane, Tolliver Creek", "Services: Pembrook Lines", "Landscape: Field and Sill"],
    "GENERAL NOTES": ["1. Do not scale from this drawing.", "2. Check all dimensions on site.", "3. Read with the specification of works."],
    "KEY": ["Existing walls", "New walls", "Taken down"],
    "ABBREVIATIONS": ["FFL finished floor level", "SSL structural slab level", "TBC to be confirmed"],
}


def headings_over_lists(r, name):
    """A strip with headings over lists of lines, as large as the lines or a little larger."""
    s = Sheet(name, r.choice(["ISO A1", "ISO A2"]))
    s.frame_and_edge()
    fx, fy, fw, fh = s.frame
    w = 100
    x0 = fx + fw - w
    s.line(x0, fy, x0, fy + fh)
    y = fy + block(s, r, x0, fy, w, usual_rows(r))
    for heading, lines in r.sample(sorted(LISTS.items()), 3):
        h = r.choice([34, 40])
        cell = s.cell(x0, y, w, h)
        size = r.choice([2.5, 3.5])
        s.caption(heading, cell, x0 + 3, y + h - 6, size)
        for i, words in enumerate(lines):
            s.notes.append(dict(text=words, cell=cell, height=2.5))
            s.write_text(words, x0 + 3, y + h - 13 - 5 * i, 2.5)
        y += h
        s.line(x0, y, x0 + w, y)
    s.cell(x0, y, w, fy + fh - y)
    return s


HABITS = (round_lengths, lengthened, plan_with_words, dividers_stop_short, several_things_in_a_cell, strip_with_grid, headings_over_lists)

if __name__ == "__main__":
    folder, seed, count = sys.argv[1], int(sys.argv[2]), int(sys.argv[3])
    for make in HABITS:
        for i in range(count):
            make(random.Random(1000 * HABITS.index(make) + seed + i), "%s-%d" % (make.__name__.replace("_", "-"), seed + i)).write(folder)
