"""What a camera with a rolling read-out gets of lights in rows and columns, from the wires alone.

usage: camera.py DUMP ROWS COLUMNS HIGH_ROW HIGH_COLUMN START_NS FRAMES_HZ SHUTTER_S READOUT_S FRAMES < lights
Each line of the lights has row, column and how far down the picture it is, 0 to 1. Prints frame, light, seconds.
Walks along the edges once and adds each stretch of light to every exposure that it falls into.
"""
import sys

dump, rows, columns, high_row, high_column, start, hz, shutter, readout, frames = sys.argv[1:]
rows = rows.split(",")
columns = columns.split(",")
start, hz, shutter, readout = float(start) * 1e-9, float(hz), float(shutter), float(readout)
lights = [line.split() for line in sys.stdin if line.strip()]
lights = [(int(r), int(c), float(d)) for r, c, d in lights]

names, state, since = {}, {}, {}
lit = {i: [] for i in range(len(lights))}


def is_lit(light):
    row, column, _ = lights[light]
    return state[rows[row]] == high_row and state[columns[column]] == high_column


at = 0.0
begun = {}
for line in open(dump):
    line = line.strip()
    if line.startswith("$var"):
        words = line.split()
        names[words[3]] = words[4]
        state[words[4]] = "0"
    elif line.startswith("#"):
        at = int(line[1:]) * 1e-9
    elif len(line) == 2 and line[1] in names:
        state[names[line[1]]] = line[0]
        for light in range(len(lights)):
            now = is_lit(light)
            if now and light not in begun:
                begun[light] = at
            elif not now and light in begun:
                lit[light].append((begun.pop(light), at))

for frame in range(int(frames)):
    for light, (_, _, down) in enumerate(lights):
        opens = start + frame / hz + down * readout
        closes = opens + shutter
        got = sum(max(0.0, min(closes, b) - max(opens, a)) for a, b in lit[light])
        print(frame, light, "%.9f" % got)
