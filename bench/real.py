"""What the program does on recordings by real players.

    ./run bench real tempo        tempo of the loops, as they are and altered four ways
    ./run bench real marks        marks that stay within 1 ms when the file is altered; strokes of loop-a
    ./run bench real tighten      hits that end farther from their lines than they were played
    ./run bench real flams        a soft stroke before a hard one: found, and kept together
    ./run bench real exact        at 100 %: leaders on their lines, lengths, noises told of
    ./run bench real              all of it

The recordings are those of `--real` (usually ../shared/eval/real), with an `index.json`; nothing of them is
shipped. Halves and doubles of a tempo count as right.
"""

import argparse
import json
import tempfile
from collections.abc import Callable, Iterator
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass
from functools import partial
from itertools import product
from pathlib import Path

import numpy as np
import soundfile
import soxr

from chronotome.dsp.audio import Audio, audio_of
from chronotome.dsp.beats.pulse import find_pulse
from chronotome.dsp.hits import hit_traits
from chronotome.dsp.onsets.detection import SURE_STRENGTH, detect_onsets
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.files.analysis import analyse
from chronotome.session.anchors import window_of
from chronotome.session.check import Kind
from chronotome.session.checks import checks_of
from chronotome.session.edits.fitting import straighten, use_measured
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.edits.tracks import set_moving
from chronotome.session.grid import Grid, nearest_lines
from chronotome.session.model import Recording, Session
from chronotome.session.onsets import onsets_from
from chronotome.session.targets import Reason, Targets
from chronotome.session.tighten import targets_of

REAL = Path(__file__).parents[2] / "shared" / "eval" / "real"
RIGHT_TEMPO = 0.002
FASTER = 1.07
SHIFT, OTHER_RATE, SOFTER_DB = 1234, 48000, -12.0
SAME_PLACE, ON_STROKE = 0.001, 0.005
ON_LINE_MS = 10.0
FARTHER_MS, LEFT_ALONE = 5.0, 12.0
STROKE_SECONDS, PER_LOOP, FLAMS = 0.11, 4, 16
STRENGTHS = (45.0, 55.0)
"""Marks from the second on must be found again as marks of the first: nobody sees a flicker at the line."""


def silence(seconds: float, like: Audio) -> np.ndarray:
    return np.zeros((int(seconds * like.rate), like.samples.shape[1]), np.float32)


def faster(audio: Audio) -> Audio:
    return audio_of(soxr.resample(audio.samples, audio.rate * FASTER, audio.rate), audio.rate)


def four_in_a_row(audio: Audio) -> Audio:
    return audio_of(np.concatenate([*[audio.samples] * 4, silence(0.7, audio)]), audio.rate)


def padded(audio: Audio) -> Audio:
    return audio_of(np.concatenate([silence(0.41, audio), audio.samples, silence(0.63, audio)]), audio.rate)


ALTERED: dict[str, tuple[Callable[[Audio], Audio], float]] = {
    "as is": (lambda audio: audio, 1.0),
    "7 % faster": (faster, FASTER),
    "four in a row": (four_in_a_row, 1.0),
    "padded": (padded, 1.0),
}


def read(path: Path) -> Audio:
    samples, rate = soundfile.read(path, dtype="float32", always_2d=True)
    return audio_of(samples, rate)


def tempo_of(task: tuple[Path, str]) -> tuple[float, float, list[float]]:
    change, _ = ALTERED[task[1]]
    audio = change(read(task[0]))
    pulse = find_pulse(audio, detect_onsets(audio), name="take")
    return pulse.beats_per_minute, pulse.confidence, [each.beats_per_minute for each in pulse.candidates]


def is_right(tempo: float, true: float) -> bool:
    return any(abs(tempo / true / ratio - 1) < RIGHT_TEMPO for ratio in (0.5, 1, 2))


def tempo(folder: Path, index: dict[str, dict[str, float]]) -> None:
    tasks = [(name, how) for name, facts in index.items() if "bpm" in facts for how in ALTERED]
    right, listed = dict.fromkeys(ALTERED, 0), 0
    with ProcessPoolExecutor(2) as pool:
        answers = pool.map(tempo_of, [(folder / name, how) for name, how in tasks])
        for (name, how), (found, confidence, candidates) in zip(tasks, answers, strict=True):
            true = index[name]["bpm"] * ALTERED[how][1]
            right[how] += is_right(found, true)
            listed += any(is_right(each, true) for each in candidates)
            mark = " " if is_right(found, true) else "x"
            print(f"{mark} {name:12} {how:14} {true:8.3f}  found {found:8.3f}  confidence {confidence:.2f}")
    loops = len(tasks) // len(ALTERED)
    print(", ".join(f"{how}: {count} of {loops}" for how, count in right.items()))
    print(f"all: {sum(right.values())} of {len(tasks)}, in the list {listed}")


def marks_of(audio: Audio) -> tuple[np.ndarray, np.ndarray]:
    """Seconds of the marks that count for sure, and of those that count at all."""
    found = detect_onsets(audio)
    moments = found.frames / audio.rate
    return moments[found.strengths >= STRENGTHS[1]], moments[found.strengths >= STRENGTHS[0]]


def lossy(audio: Audio) -> tuple[Audio, float]:
    """At 128 kbit/s and back; the codec's delay is found by correlation."""
    with tempfile.NamedTemporaryFile(suffix=".mp3") as file:
        soundfile.write(
            file.name, audio.samples, audio.rate, format="MP3", bitrate_mode="CONSTANT", compression_level=0.6
        )
        back = read(Path(file.name))
    one, other = audio.samples.mean(axis=1), back.samples.mean(axis=1)
    size = 1 << 15
    lags = np.fft.irfft(np.conj(np.fft.rfft(one[:size], 2 * size)) * np.fft.rfft(other[:size], 2 * size))
    lag = int(lags[: 4 * 1152].argmax())
    return back, lag / audio.rate


def variants(audio: Audio) -> Iterator[tuple[str, Audio, float]]:
    """Name, altered audio, by how many seconds everything is later in it."""
    lead = np.zeros((SHIFT, audio.samples.shape[1]), np.float32)
    yield "shifted", audio_of(np.concatenate([lead, audio.samples]), audio.rate), SHIFT / audio.rate
    yield "at 48 kHz", audio_of(soxr.resample(audio.samples, audio.rate, OTHER_RATE), OTHER_RATE), 0.0
    yield "softer", audio_of(audio.samples * np.float32(10 ** (SOFTER_DB / 20)), audio.rate), 0.0
    yield "128 kbit/s", *lossy(audio)


def kept_share(path: Path) -> dict[str, tuple[int, int]]:
    audio = read(path)
    sure, every = marks_of(audio)
    found = {}
    for name, altered, later in variants(audio):
        sure_now, every_now = (moments - later for moments in marks_of(altered))
        kept = _near(sure, every_now) + _near(sure_now, every)
        found[name] = (kept, len(sure) + len(sure_now))
    return found


def _near(moments: np.ndarray, others: np.ndarray) -> int:
    if not len(moments) or not len(others):
        return 0
    return int((np.abs(moments[:, None] - others[None]).min(axis=1) <= SAME_PLACE).sum())


def marks(folder: Path, index: dict[str, dict[str, float]]) -> None:
    totals: dict[str, list[int]] = {}
    with ProcessPoolExecutor(2) as pool:
        for name, found in zip(index, pool.map(kept_share, [folder / name for name in index]), strict=True):
            shares = ", ".join(f"{how} {kept}/{of}" for how, (kept, of) in found.items())
            print(f"{name:12} {shares}")
            for how, (kept, of) in found.items():
                total = totals.setdefault(how, [0, 0])
                total[0] += kept
                total[1] += of
    print("within 1 ms: " + ", ".join(f"{how} {kept / of:.3f}" for how, (kept, of) in totals.items()))
    for name, facts in index.items():
        if "onsets" in facts:
            true = np.array(facts["onsets"])
            audio = read(folder / name)
            onsets = detect_onsets(audio)
            moments = onsets.frames[onsets.strengths >= SURE_STRENGTH] / audio.rate
            hits = sum(bool((np.abs(moments - each) <= ON_STROKE).any()) for each in true)
            false = len(moments) - hits
            print(
                f"{name}: {hits} of {len(true)} strokes within 5 ms, {false} more marks, "
                f"F {2 * hits / (len(true) + len(moments)):.2f}"
            )


@dataclass
class Harm:
    """Leaders of one grid: all, farther from their line by 5 ms, thrown off it, left alone but moved."""

    hits: int = 0
    farther: int = 0
    thrown: int = 0
    moved: int = 0


def session_of(audio: Audio, tempo: float) -> Session:
    """A recording with its marks in a song of its tempo."""
    found = detect_onsets(audio)
    recording = Recording("a" * 32, "take.wav", audio.rate, audio.frames, audio.samples.shape[1])
    session = add_recording(Session(), recording, "take")
    onsets = onsets_from(found.frames, found.strengths, found.bands, found.doubts)
    onsets = onsets.measured(hit_traits(audio.samples, audio.rate, found.frames))
    session = set_analysis(session, recording.content, onsets, None)
    return set_beat_one(set_tempo(session, tempo), 0.0)


def targets_for(audio: Audio, tempo: float, division: int) -> Targets:
    session = session_of(audio, tempo)
    session = set_tighten(session, session.tracks[0].id, grid=Grid(division), strength=1.0)
    return targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)


def tightened(task: tuple[Path, float, int]) -> Harm:
    """One loop at its true tempo, pulled to a grid at strength 100; then with 12 ms left alone."""
    path, tempo, division = task
    session = session_of(read(path), tempo)
    track = session.tracks[0].id
    harm = Harm()
    for alone in (0.0, LEFT_ALONE):
        each = set_tighten(session, track, grid=Grid(division), strength=1.0, leave_alone=alone)
        targets = targets_of(each, each.tracks[0], each.tracks[0].clips[0].take)
        beats = each.tempo.beats_at(targets.target / each.rate)
        lines = nearest_lines(beats, Grid(division), each.metre)
        now = np.abs(targets.target / each.rate - each.tempo.seconds_at(lines)) * 1000
        before = np.abs(targets.drift)
        now, before = now[targets.leads], before[targets.leads]
        if alone:
            stays = (targets.target == targets.fitted)[targets.leads]
            harm.moved += int(np.count_nonzero((before <= alone) & ~stays))
        else:
            harm.hits += len(now)
            harm.farther += int(np.count_nonzero(now > before + FARTHER_MS))
            harm.thrown += int(np.count_nonzero((before <= ON_LINE_MS) & (now > ON_LINE_MS + 0.05)))
    return harm


def tighten(folder: Path, index: dict[str, dict[str, float]]) -> None:
    for division in (4, 8, 16):
        tasks = [(folder / name, facts["bpm"], division) for name, facts in index.items() if "bpm" in facts]
        with ProcessPoolExecutor(2) as pool:
            harms = list(pool.map(tightened, tasks))
        total = {name: sum(getattr(harm, name) for harm in harms) for name in vars(Harm())}
        print(
            f"1/{division}: {total['hits']} hits, farther by 5 ms {total['farther']} "
            f"({total['farther'] / total['hits']:.1%}), thrown {total['thrown']}, "
            f"left alone but moved {total['moved']}"
        )


def exactly(task: tuple[Path, float]) -> tuple[int, int, int, int, int]:
    """Ways tried, leaders off their lines and lost, takes of another length, noises that are told of."""
    path, true = task
    audio = read(path)
    heard = analyse(audio, path.stem)
    recording = Recording("a" * 32, "take.wav", audio.rate, len(audio.samples), audio.samples.shape[1])
    plain = add_recording(Session(), recording, "take")
    plain = set_analysis(plain, recording.content, heard.onsets, heard.measured, heard.material)
    track = plain.tracks[0].id
    fits = [use_measured(plain, track), set_beat_one(set_tempo(plain, true), 0.0)]
    fits.append(straighten(set_tempo(plain, true), track))
    ways = off = lost = longer = noises = 0
    for session in fits:
        noises += sum(each.kind is Kind.NOISE for each in checks_of(session, session.tracks[0]))
        before = window_of(session, session.tracks[0], session.tracks[0].clips[0])
        for division, by, swing in product((4, 8, 16), MoveBy, (50.0, 58.0)):
            edited = set_tighten(session, track, grid=Grid(division), strength=1.0, swing=swing)
            edited = set_moving(edited, track, by=by)
            (moved,) = edited.tracks
            targets, window = (
                targets_of(edited, moved, moved.takes[0]),
                window_of(edited, moved, moved.clips[0]),
            )
            leads = np.isin(np.arange(len(targets)), targets.leads)
            on_lines = leads & (targets.reasons == Reason.GRID)
            off += int((targets.target != targets.line)[on_lines].sum())
            lost += int(((targets.target < window.start) | (targets.target >= window.end))[leads].sum())
            longer += (window.start, window.end) != (before.start, before.end)
            ways += 1
    return ways, off, lost, longer, noises


def exact(folder: Path, index: dict[str, dict[str, float]]) -> None:
    """Grids of 1/4, 1/8, 1/16, straight and swung, each way of moving, three ways of fitting."""
    tasks = [(folder / name, facts["bpm"]) for name, facts in index.items() if "bpm" in facts]
    with ProcessPoolExecutor() as pool:
        ways, off, lost, longer, noises = np.array(list(pool.map(exactly, tasks))).sum(axis=0).tolist()
    print(
        f"{len(tasks)} loops at 100 %, {ways} ways: {off} leaders off their lines, {lost} outside, "
        f"{longer} takes of another length, {noises} noises told of (bars 0)"
    )


def strokes_in(folder: Path, index: dict[str, dict[str, float]]) -> list[np.ndarray]:
    """Sixteen strokes that stand alone, one channel, from the loops, loudest of each loop first."""
    found = []
    for name, facts in index.items():
        if "bpm" not in facts:
            continue
        audio = read(folder / name)
        onsets = detect_onsets(audio)
        alone = np.diff(onsets.frames, append=audio.frames) > STROKE_SECONDS * audio.rate
        sure = np.flatnonzero(alone & (onsets.strengths > SURE_STRENGTH))
        for place in sure[np.argsort(-onsets.strengths[sure])][:PER_LOOP].tolist():
            start = max(0, int(onsets.frames[place]) - int(0.001 * audio.rate))
            stroke = audio.samples[start : start + int(STROKE_SECONDS * audio.rate)].mean(axis=1)
            stroke = stroke * np.linspace(1, 0, len(stroke)) ** 0.5
            found.append(stroke / np.abs(stroke).max())
    return found[:FLAMS]


def flams(folder: Path, index: dict[str, dict[str, float]]) -> None:
    """A soft stroke before a hard one: both found; the distance kept when tightened to 1/32."""
    rate, strokes = 44100, strokes_in(folder, index)
    step = 60 / 100 / 2
    for milliseconds in (20, 30, 45):
        sound = np.zeros(int((len(strokes) + 2) * step * rate), np.float32)
        random = np.random.default_rng(milliseconds)
        hard = [round(((place + 1) * step + random.normal(0, 0.008)) * rate) for place in range(len(strokes))]
        early = round(milliseconds / 1000 * rate)
        for place, stroke in enumerate(strokes):
            soft = strokes[place - 1]
            sound[hard[place] - early :][: len(soft)] += 0.3 * soft
            sound[hard[place] :][: len(stroke)] += 0.9 * stroke
        audio = audio_of(sound[:, None], rate)
        targets = targets_for(audio, 100.0, 32)
        lead = round(0.001 * rate)
        found = kept = 0
        for each in hard:
            pair = [np.abs(targets.played - (at + lead)).argmin() for at in (each - early, each)]
            near = [
                abs(int(targets.played[at]) - (frame + lead)) <= ON_STROKE * rate
                for at, frame in zip(pair, (each - early, each), strict=True)
            ]
            if all(near) and pair[0] != pair[1]:
                found += 1
                kept += np.diff(targets.target[pair])[0] == np.diff(targets.played[pair])[0]
        print(f"flams of {milliseconds} ms: {found} of {len(hard)} found, {kept} keep their distance")


def main() -> None:
    parser = argparse.ArgumentParser(
        description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter
    )
    ways = {"tempo": tempo, "marks": marks, "tighten": tighten, "flams": flams, "exact": exact}
    parser.add_argument("what", nargs="?", choices=[*ways, "all"], default="all")
    parser.add_argument("--real", type=Path, default=REAL)
    given = parser.parse_args()
    index = json.loads((given.real / "index.json").read_text())
    for name, way in ways.items():
        if given.what in {name, "all"}:
            partial(way, given.real, index)()


if __name__ == "__main__":
    main()
