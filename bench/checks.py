"""Flams and wrong lines planted in three minutes of four tracks: how many are found, how many found are none.

./run exec python -m bench.checks [SEED]
"""

import sys

import numpy as np

from bench.material import isolate
from chronotome.session.check import Kind
from chronotome.session.checks import checks_of
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.model import Recording, Session
from chronotome.session.onsets import onsets_from

RATE, TEMPO, BARS = 48000, 100.0, 75
STEP = RATE * 60 / TEMPO / 4
PATTERNS = (
    (0, 4, 8, 10, 12),
    (0, 2, 4, 6, 8, 10, 12, 14),
    (0, 3, 6, 8, 11, 14),
    (4, 12),
)
FEEL = ((0, 0, 0, 0), (0, 14, 4, 18), (6, 6, 6, 6), (0, 0, 0, 0))
LOOSE_MS = (3.0, 2.0, 4.0, 3.0)
PLANTED = 40


def planted(random: np.random.Generator) -> tuple[Session, set[tuple[int, int]]]:
    """Four tracks, and the (track, onset) of every hit that was put wrong."""
    takes = []
    for pattern, feel, loose in zip(PATTERNS, FEEL, LOOSE_MS, strict=True):
        takes.append(
            [
                [
                    (bar * 16 + step) * STEP + (feel[step % 4] + random.normal(0, loose)) * RATE / 1000
                    for step in pattern
                ]
                for bar in range(BARS)
            ]
        )
    wrong: set[tuple[int, int, int]] = set()
    while len(wrong) < PLANTED:
        track, bar = int(random.integers(4)), int(random.integers(2, BARS - 2))
        at = int(random.integers(len(PATTERNS[track])))
        if any(each[:2] == (track, bar) or each[1] == bar for each in wrong):
            continue
        if len(wrong) < PLANTED // 2:  # a flam: 18 to 36 ms from where it would be
            meets = any(PATTERNS[track][at] in PATTERNS[other] for other in range(4) if other != track)
            if not meets:
                continue
            takes[track][bar][at] += random.choice([-1, 1]) * random.uniform(18, 36) * RATE / 1000
        else:  # the wrong line: a whole step away, where no other hit of its own is
            places = [each for each in (-1, 1) if (PATTERNS[track][at] + each) not in PATTERNS[track]]
            takes[track][bar][at] += random.choice(places) * STEP
        wrong.add((track, bar, at))
    session = set_beat_one(set_tempo(Session(), TEMPO), 1.0)
    hits = set[tuple[int, int]]()
    for track, bars in enumerate(takes):
        flat = sorted(
            (frame, (track, bar, at)) for bar, each in enumerate(bars) for at, frame in enumerate(each)
        )
        frames = np.array([round(RATE + frame) for frame, _ in flat])
        content = "abcd"[track] * 32
        session = add_recording(
            session, Recording(content, f"{track}.wav", RATE, int(frames[-1]) + RATE, 1), str(track)
        )
        onsets = onsets_from(frames, np.full(len(frames), 90.0), np.ones(len(frames), np.int64))
        session = set_analysis(session, content, onsets, None)
        hits |= {(track, number + 1) for number, (_, name) in enumerate(flat) if name in wrong}
    for each in session.tracks:  # flams are told as it is played: nothing is drawn to the grid
        session = set_tighten(session, each.id, strength=0.0)
    return session, hits


def main() -> None:
    isolate()
    seed = int(sys.argv[1]) if len(sys.argv) > 1 else 3
    session, wrong = planted(np.random.default_rng(seed))
    told: dict[tuple[int, int], Kind] = {}
    for number, track in enumerate(session.tracks):
        for check in checks_of(session, track):
            told[number, check.onset] = check.kind
    alike = {Kind.FLAM, Kind.WRONG_LINE, Kind.BETWEEN, Kind.DOUBLED}
    told = {place: kind for place, kind in told.items() if kind in alike}
    found = wrong & set(told)
    others = set(told) - wrong
    # of a flam both tracks tell: the other side of one that was planted is no false one
    frames = [session.recording_of(track.takes[0]).onsets.frame_array for track in session.tracks]
    planted_at = np.array([frames[track][onset - 1] for track, onset in wrong])
    false = [
        place for place in others if np.abs(planted_at - frames[place[0]][place[1] - 1]).min() > 0.12 * RATE
    ]
    print(f"planted {len(wrong)}, found {len(found)}, false {len(false)}")
    print("kinds:", {str(kind): sum(1 for place in found if told[place] is kind) for kind in alike})


if __name__ == "__main__":
    main()
