"""Makes the grooves that are shipped: eight feels of the harbour, from their figures, with a seed.

./run exec python tools/make_feels.py
"""

from pathlib import Path

import numpy as np

from chronotome.files.grooves import SUFFIX, write_groove
from chronotome.session.grid import Grid
from chronotome.session.groove import Groove, GrooveStep

FOLDER = Path(__file__).parent.parent / "src" / "chronotome" / "assets" / "grooves"
TEMPO = 92.0
FEELS: list[tuple[str, int, list[float], list[float]]] = [
    # name, division, offsets in ms and levels in dB of the steps of a bar, repeated to its end
    ("Ferry shaker feel", 16, [0, 21, 6, 27], [0, -8, -3, -6]),
    ("Bucket backbeat", 16, [0, 4, 2, 6, 19, 6, 3, 7], [0, -12, -7, -11, -1, -12, -7, -10]),
    ("Gangway lilt", 8, [0, 46], [0, -5]),
    ("Night boat", 16, [0, -9, 4, -14], [0, -9, -4, -8]),
    ("Harbour drag", 16, [6, 14, 16, 24, 28, 20, 18, 12], [0, -9, -5, -8, -1, -9, -5, -7]),
    ("Rope pull", 16, [-8, 2, -4, 6, 10, 4, -2, 8], [0, -10, -6, -9, -2, -10, -5, -8]),
    ("Stairwell march", 16, [0, 12, 0, -6], [0, -14, -8, -10]),
    ("Low tide", 8, [0, 18, 6, 24, 0, 22, 9, 30], [0, -7, -3, -8, -1, -7, -4, -6]),
]


def made(name: str, division: int, offsets: list[float], levels: list[float]) -> Groove:
    random = np.random.default_rng(len(name))
    steps = tuple(
        GrooveStep(
            step * 4 / division,
            round(offsets[step % len(offsets)] + random.normal(0, 0.8), 1),
            round(min(0.0, levels[step % len(levels)] + random.normal(0, 0.4)), 1),
            round(random.uniform(1.2, 4.2), 1),
            8,
        )
        for step in range(division)
    )
    return Groove(0, name, Grid(division), 1, steps=steps, beats_per_minute=TEMPO)


if __name__ == "__main__":
    FOLDER.mkdir(exist_ok=True)
    for name, division, offsets, levels in FEELS:
        path = FOLDER / f"{name.lower().replace(' ', '_')}{SUFFIX}"
        write_groove(path, made(name, division, offsets, levels))
