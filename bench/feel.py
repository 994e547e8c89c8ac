"""A groove taken from a recording made with a known one; two takes of a line paired.

./run exec python -m bench.feel [COUNT] [SEED]
"""

import sys
from dataclasses import dataclass, field
from pathlib import Path

import numpy as np

sys.path.append(str(Path(__file__).parent.parent / "tools"))

from bench.material import isolate
from chronotome.dsp.audio import audio_of
from chronotome.files.analysis import analyse
from chronotome.session.edits.grooves import groove_of
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.grid import Grid
from chronotome.session.model import Recording, Session
from chronotome.session.settings import Match
from chronotome.session.tighten import pairs_of
from make_demo import BEAT, LEAD, RATE, TEMPO, Take, beat_at, burst, modal

BARS = 8
TUNE = [(0.0, 1046.5), (0.75, 1318.5), (1.5, 1568.0), (2.5, 1396.9), (3.0, 1318.5)]


@dataclass
class Line:
    """A take, where its hits are, and which of the line's notes each is (-1: none of them)."""

    take: Take = field(default_factory=Take)
    notes: list[int] = field(default_factory=list)

    def put(self, seconds: float, pitch: float, note: int, loudness: float) -> None:
        partials = [(pitch, 1.0, 0.35), (pitch * 2.76, 0.45, 0.15), (pitch * 5.4, 0.2, 0.06)]
        before = len(self.take.onsets)
        self.take.put(seconds, modal(partials, 1.4), loudness)
        self.notes += [note] * (len(self.take.onsets) - before)


def brought(session: Session, letter: str, take: Take) -> Session:
    samples = np.asarray(0.7 * take.wave / np.abs(take.wave).max(), np.float32)[:, None]
    audio = audio_of(samples, RATE)
    content = letter * 32
    session = add_recording(session, Recording(content, f"{letter}.wav", RATE, len(samples), 1), letter)
    heard = analyse(audio, letter)
    return set_analysis(session, content, heard.onsets, heard.measured, heard.material)


def groove_errors(random: np.random.Generator, *, is_normal: bool) -> np.ndarray:
    """Ms that each step of a shaken groove is off, once it was taken."""
    known, take = random.uniform(-15, 30, 16), Take()
    for bar in range(BARS):
        for step in range(16):
            noise = random.normal(0, 4) if is_normal else random.uniform(-4, 4)
            sound = burst(random, 4500, 14000, 0.018, 0.12)
            late = (known[step] + noise) / 1000
            take.put(beat_at(bar, step / 4) + late, sound, (0.5, 0.2, 0.36, 0.26)[step % 4])
    session = set_beat_one(set_tempo(brought(Session(), "a", take), TEMPO), LEAD)
    track = session.tracks[0]
    found = groove_of(session, track, track.takes[0], Grid(16))
    errors = np.full(16, np.nan)
    for each in found.steps:
        errors[round(each.beat * 4)] = each.offset_ms - known[round(each.beat * 4)]
    return errors


def line(random: np.random.Generator, *, slop: float, loses: float, adds: float) -> Line:
    """The bell line, some notes missing, others added between them."""
    made, notes = Line(), 0
    for bar in range(BARS):
        for beat, pitch in TUNE:
            moment = beat_at(bar, beat) + random.normal(0, slop)
            if random.random() >= loses:
                made.put(moment, pitch, notes, 0.32 * random.uniform(0.6, 1.0))
            if random.random() < adds:
                extra = moment + random.uniform(0.1, 0.6) * BEAT
                made.put(extra, float(random.choice([pitch for _, pitch in TUNE])), -1, 0.3)
            notes += 1
    order = np.argsort([onset["frame"] for onset in made.take.onsets], kind="stable").tolist()
    made.notes = [made.notes[at] for at in order]
    made.take.onsets = [made.take.onsets[at] for at in order]
    return made


def note_of(played: Line, frames: np.ndarray) -> np.ndarray:
    """Which note of the line each onset is: the nearest within 15 ms, else -2, as where a note breaks off."""
    places = np.array([onset["frame"] for onset in played.take.onsets])
    at = np.abs(places[None] - frames[:, None]).argmin(1)
    near = np.abs(places[at] - frames) < 0.015 * RATE
    return np.where(near, np.array(played.notes)[at], -2)


def pairs_right(random: np.random.Generator) -> tuple[int, int, int]:
    """Pairs that are there, of these found, and pairs that are none."""
    one = line(random, slop=0.006, loses=0.0, adds=0.0)
    two = line(random, slop=0.016, loses=0.1, adds=0.1)
    session = brought(brought(Session(), "a", one.take), "b", two.take)
    session = set_beat_one(set_tempo(session, TEMPO), LEAD)
    first, second = session.tracks
    session = set_tighten(session, second.id, strength=1.0, match=Match(first.id))
    track = session.track(second.id)
    pairs = pairs_of(session, track, track.takes[0])
    assert pairs is not None
    mine, theirs = note_of(two, pairs.own.frames), note_of(one, pairs.other.frames)
    true = np.intersect1d(mine[mine >= 0], theirs[theirs >= 0])
    found = [(mine[at], theirs[to]) for at, to in enumerate(pairs.partner) if to >= 0]
    right = len({note for note, other in found if note == other and note >= 0})
    return len(true), right, sum(note != other for note, other in found)


def main() -> None:
    isolate()
    count, seed = (int(word) for word in (*sys.argv[1:], *("20", "5")[len(sys.argv) - 1 :]))
    for is_normal, words in ((True, "normal, 4 ms"), (False, "even, within 4 ms")):
        random = np.random.default_rng([seed, is_normal])
        errors = np.abs([groove_errors(random, is_normal=is_normal) for _ in range(count)])
        print(
            f"groove, noise {words}: median {np.nanmedian(errors):.2f} ms, most of a take "
            f"{np.median(np.nanmax(errors, axis=1)):.2f} (of all {np.nanmax(errors):.2f}), "
            f"missing {np.isnan(errors).mean():.1%}"
        )
    found = np.array([pairs_right(np.random.default_rng([seed, 7, at])) for at in range(count)]).sum(0)
    print(f"pairs: {found[1]} of {found[0]} right ({found[1] / found[0]:.1%}), {found[2]} that are none")


if __name__ == "__main__":
    main()
