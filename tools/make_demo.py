"""Makes the demo material: a street-percussion trio records a ferry line's signature tune in a stairwell.

    ./run exec python tools/make_demo.py

Everything is synthesised from a seed: modal and plucked-string synthesis, noise bursts, a small room. Beside
each recording stands its truth: exact onsets, tempo and beats.
"""

from collections.abc import Callable
from dataclasses import dataclass, field
from pathlib import Path

import msgspec
import numpy as np
import soundfile
from numpy.typing import NDArray
from scipy.signal import butter, fftconvolve, lfilter, sosfilt

from chronotome.dsp.stretch.engines import MoveBy
from chronotome.files.analysis import analyse
from chronotome.files.audio_file import content_hash, read_audio
from chronotome.files.session_file import load_session, save_session
from chronotome.session.edits.clips import delete, repeat, split
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_beat_one, set_loop
from chronotome.session.edits.tracks import lock, set_level, set_moving, set_muted
from chronotome.session.grid import Grid
from chronotome.session.history import History
from chronotome.session.model import Recording, Session, replace

RATE = 44100
TEMPO = 92.0
BEAT = 60 / TEMPO
LEAD = 0.65
BARS = 8
LENGTH = LEAD + BARS * 4 * BEAT + 1.2
DEMO = Path(__file__).parent.parent / "src" / "chronotome" / "demo"
Wave = NDArray[np.float64]


@dataclass
class Take:
    """A mono performance and its truth."""

    wave: Wave = field(default_factory=lambda: np.zeros(int(LENGTH * RATE)))
    onsets: list[dict[str, float | int]] = field(default_factory=list)
    kinds: list[str] = field(default_factory=list)

    def put(self, seconds: float, sound: Wave, loudness: float, kind: str = "") -> None:
        start = round(seconds * RATE)
        if not 0 <= start < len(self.wave):
            return
        end = min(len(self.wave), start + len(sound))
        self.wave[start:end] += loudness * sound[: end - start]
        self.onsets.append({"frame": start, "seconds": start / RATE, "loudness": round(loudness, 3)})
        self.kinds.append(kind)


def envelope(length: int, half_life: float, attack: float = 0.0006) -> Wave:
    frames = np.arange(length)
    return np.minimum(1, (frames + 1) / (attack * RATE)) * 0.5 ** (frames / (half_life * RATE))


def modal(modes: list[tuple[float, float, float]], seconds: float, bend: float = 0.0) -> Wave:
    """A struck body: (frequency, level, half-life) per mode; `bend` lets the pitch fall at first."""
    length = int(seconds * RATE)
    time = np.arange(length) / RATE
    sound = np.zeros(length)
    for frequency, level, half_life in modes:
        phase = 2 * np.pi * frequency * (time + bend * 0.02 * (1 - np.exp(-time / 0.02)))
        sound += level * np.sin(phase) * envelope(length, half_life)
    return sound


def burst(random: np.random.Generator, low: float, high: float, half_life: float, seconds: float) -> Wave:
    length = int(seconds * RATE)
    band = butter(2, [low, high], "bandpass", fs=RATE, output="sos")
    noise = sosfilt(band, random.standard_normal(length + 64))[64:]
    return noise / np.abs(noise).max() * envelope(length, half_life)


def plucked(random: np.random.Generator, frequency: float, seconds: float, damping: float) -> Wave:
    """A string after Karplus and Strong, 1983, with the fractional part of its length by an all-pass."""
    period = RATE / frequency - 0.5
    whole = int(period)
    length = int(seconds * RATE)
    pluck = np.zeros(length)
    pluck[:whole] = lfilter([0.4], [1, -0.6], random.standard_normal(whole))
    feedback = np.zeros(whole + 2)
    feedback[0] = 1
    feedback[whole], feedback[whole + 1] = -damping * 0.5, -damping * 0.5
    return lfilter([1.0], feedback, pluck) * envelope(length, seconds / 4, 0.002)


def stairwell(random: np.random.Generator, distance: float) -> Wave:
    """Impulse response, shape (frames, 2): the direct sound after its way, some walls, a tail of 0.5 s."""
    length = int(0.7 * RATE)
    response = np.zeros((length, 2))
    delay = int(distance / 343 * RATE)
    for side in range(2):
        response[delay + side * 9, side] = 1.0 / max(1.0, distance)
        for _ in range(14):
            at = delay + int(random.uniform(0.004, 0.05) * RATE)
            response[at, side] += random.choice([-1, 1]) * random.uniform(0.05, 0.22)
        tail = random.standard_normal(length) * 0.5 ** (np.arange(length) / (0.075 * RATE)) * 0.02
        tail[: delay + int(0.02 * RATE)] = 0
        response[:, side] += lfilter([0.35], [1, -0.65], tail)
    return response


def in_room(wave: Wave, response: Wave) -> Wave:
    return np.stack([fftconvolve(wave, side)[: len(wave)] for side in response.T], axis=1)


def beat_at(bar: int, beat: float) -> float:
    """Seconds of a beat (from 0) of a bar (from 0)."""
    return LEAD + (bar * 4 + beat) * BEAT


BUCKETS: dict[str, Callable[[np.random.Generator], Wave]] = {
    "low": lambda r: (
        modal([(71, 1.0, 0.07), (143, 0.35, 0.04), (216, 0.2, 0.03)], 0.5, 1.2)
        + 0.25 * burst(r, 1500, 6000, 0.004, 0.5)
    ),
    "back": lambda r: (
        modal([(188, 0.5, 0.05), (311, 0.4, 0.04), (437, 0.25, 0.03)], 0.4, 0.3)
        + 0.8 * burst(r, 900, 9000, 0.035, 0.4)
    ),
    "rim": lambda r: (
        modal([(820, 0.5, 0.012), (1370, 0.4, 0.01), (2210, 0.3, 0.008)], 0.15)
        + 0.35 * burst(r, 3000, 12000, 0.01, 0.15)
    ),
}
PATTERN = [
    ("low", 0.0, 1.0), ("rim", 0.5, 0.4), ("back", 1.0, 0.85), ("rim", 1.5, 0.35), ("rim", 1.75, 0.22),
    ("low", 2.5, 0.9), ("back", 3.0, 0.9), ("rim", 3.5, 0.4),
]  # fmt: skip
FILL = [
    ("low", 0.0, 1.0), ("rim", 0.5, 0.4), ("back", 1.0, 0.85), ("low", 1.5, 0.8), ("back", 2.0, 0.55),
    ("back", 2.25, 0.5), ("low", 2.5, 0.75), ("back", 2.75, 0.6), ("back", 3.0, 0.7), ("rim", 3.25, 0.5),
    ("back", 3.5, 0.8), ("back", 3.75, 0.9),
]  # fmt: skip


GRACES = {(1, "back", 1.0), (2, "back", 1.0), (5, "back", 3.0), (6, "back", 1.0)}
"""Strokes that a softer one leads into."""
GRACE_SECONDS = 0.032


def bucket_kit(random: np.random.Generator) -> Take:
    """The player drags his backbeat and rushes his fills."""
    take = Take()
    for bar in range(BARS):
        is_fill = bar % 4 == 3
        for name, beat, loudness in FILL if is_fill else PATTERN:
            late = random.normal(0, 0.005)
            if name == "back" and beat in {1.0, 3.0}:
                late += 0.019
            if is_fill and beat >= 1.5:
                late -= 0.012 * (beat - 1.25)
            leads_in = (bar, name, beat) in GRACES
            late -= 0.012 * leads_in  # the hand that leads in is early, not the stroke late
            sound = BUCKETS[name](random)
            take.put(beat_at(bar, beat) + late, sound, loudness * random.uniform(0.85, 1.0), name)
            if leads_in:
                soft = BUCKETS[name](np.random.default_rng([7, bar]))
                take.put(beat_at(bar, beat) + late - GRACE_SECONDS, soft, 0.3, name)
        if bar in {1, 4}:  # a stroke that is neither here nor there
            take.put(beat_at(bar, 3.5) + 0.43 * BEAT / 4, BUCKETS["rim"](random), 0.55, "rim")
        if bar % 2 == 0:  # a ghost
            take.put(beat_at(bar, 2.25) + random.normal(0, 0.006), BUCKETS["back"](random), 0.1, "back")
    return take


def tongue_drum(random: np.random.Generator) -> tuple[Take, list[float]]:
    """Starts at 91 bpm and ends at 94."""
    take, beats, now = Take(), [], LEAD
    notes = [220.0, 261.63, 293.66, 329.63, 392.0, 440.0]
    tune = [0, 2, 3, 5, 4, 3, 2, 1]
    for index in range(BARS * 4):
        beats.append(now)
        period = 60 / (91 + 3 * index / (BARS * 4 - 1))
        for half in range(2):
            if half == 0 or random.random() < 0.6:
                pitch = notes[(tune[index % 8] + 2 * half) % 6]
                body = [(pitch, 1.0, 0.28), (pitch * 2.01, 0.4, 0.16), (pitch * 3.02, 0.15, 0.07)]
                sound = modal(body, 1.6) + 0.15 * burst(random, 400, 3000, 0.006, 1.6)
                place = now + half * period / 2 + random.normal(0, 0.003)
                take.put(place, sound, 0.5 - 0.15 * half, f"{pitch:.0f} Hz")
        now += period
    return take, beats


def shaker(random: np.random.Generator) -> Take:
    """Sixteenths with an uneven feel that is worth keeping."""
    take = Take()
    feel = [0.0, 0.021, 0.006, 0.027]
    for bar in range(BARS):
        for step in range(16):
            sound = burst(random, 4500, 14000, 0.018 + 0.01 * (step % 4 == 0), 0.12)
            soft = lfilter([0.02], [1, -0.98], np.ones(len(sound)))
            late = feel[step % 4] + random.normal(0, 0.0015)
            loudness = (0.5, 0.2, 0.36, 0.26)[step % 4]
            loud = loudness * random.uniform(0.9, 1.1)
            take.put(beat_at(bar, step / 4) + late, sound * soft, loud, "shake")
    return take


def upright_bass(random: np.random.Generator) -> Take:
    take = Take()
    line = [(0.0, 55.0), (1.5, 65.41), (2.5, 73.42), (3.5, 49.0)]
    for bar in range(BARS):
        for beat, pitch in line:
            hertz = pitch * (1.0 if bar % 4 < 2 else 0.8909)
            sound = plucked(random, hertz, 0.9, 0.994)
            place = beat_at(bar, beat) + random.normal(0.006, 0.007)
            take.put(place, sound / np.abs(sound).max(), 0.7, f"{hertz:.0f} Hz")
    return take


def hand_claps(random: np.random.Generator) -> Take:
    """Three people: each clap is a spread of hands."""
    take = Take()
    for bar in range(BARS):
        for beat in (1.0, 3.0):
            start = beat_at(bar, beat) + random.normal(0, 0.008)
            sound = np.zeros(int(0.3 * RATE))
            for delay in (0.0, 0.009, 0.016):
                at = int((delay + (random.uniform(0, 0.003) if delay else 0)) * RATE)
                hand = burst(random, 700, 5500, 0.012, 0.25)
                sound[at : at + len(hand)] += hand[: len(sound) - at]
            take.put(start, sound, 0.55, "clap")
    return take


def bell_line(random: np.random.Generator, slop: float) -> Take:
    take = Take()
    tune = [(0.0, 1046.5), (0.75, 1318.5), (1.5, 1568.0), (2.5, 1396.9), (3.0, 1318.5)]
    for bar in range(BARS):
        for beat, pitch in tune:
            partials = [(pitch, 1.0, 0.35), (pitch * 2.76, 0.45, 0.15), (pitch * 5.4, 0.2, 0.06)]
            place = beat_at(bar, beat) + random.normal(0, slop)
            take.put(place, modal(partials, 1.4), 0.32, f"{pitch:.0f} Hz")
    return take


def write(
    name: str, take: Take, sound: Wave, beats: list[float] | None = None, *, distance: float = 0
) -> Path:
    """The recording and its truth; sound needs time for a distance in metres."""
    delay = int(distance / 343 * RATE)
    sound = 0.7 * sound / np.abs(sound).max()
    sound = sound + np.random.default_rng(1).standard_normal(sound.shape) * 2e-5
    path = DEMO / "harbour-ferry" / "audio" / f"{name}.flac"
    path.parent.mkdir(parents=True, exist_ok=True)
    soundfile.write(path, sound, RATE, subtype="PCM_16")
    beats = beats or [beat_at(0, beat) for beat in range(BARS * 4)]
    onsets = [
        {**onset, "frame": onset["frame"] + delay, "seconds": (onset["frame"] + delay) / RATE, "kind": kind}
        for onset, kind in sorted(
            zip(take.onsets, take.kinds, strict=True), key=lambda pair: pair[0]["frame"]
        )
    ]
    truth = {"rate": RATE, "onsets": onsets, "beats": [round(beat, 6) for beat in beats], "bpm": TEMPO}
    (DEMO / "truth").mkdir(exist_ok=True)
    (DEMO / "truth" / f"{name}.json").write_bytes(msgspec.json.encode(truth))
    return path


def make_recordings() -> list[tuple[str, Path]]:
    random = np.random.default_rng(20260423)
    near, far = stairwell(random, 0.8), stairwell(random, 2.2)

    def dry(take: Take, wet: float = 0.25) -> Wave:
        direct = np.stack([take.wave, take.wave], axis=1)
        return direct + wet * in_room(take.wave, near)

    kit = bucket_kit(random)
    drum, drum_beats = tongue_drum(random)
    shaken, bass, claps = shaker(random), upright_bass(random), hand_claps(random)
    first, second = bell_line(random, 0.006), bell_line(random, 0.016)
    return [
        ("Bucket kit", write("bucket_kit", kit, dry(kit))),
        ("Room pair", write("room_pair", kit, in_room(kit.wave, far), distance=2.2)),
        ("Tongue drum", write("tongue_drum", drum, dry(drum), drum_beats)),
        ("Ferry shaker", write("ferry_shaker", shaken, shaken.wave[:, None])),
        ("Upright bass", write("upright_bass", bass, bass.wave[:, None])),
        ("Hand claps", write("hand_claps", claps, dry(claps, 0.4))),
        ("Bell line 1", write("bell_line_1", first, dry(first, 0.35))),
        ("Bell line 2", write("bell_line_2", second, dry(second, 0.35))),
    ]


LEVELS = {
    "Room pair": -8.0,
    "Tongue drum": -9.0,
    "Ferry shaker": -11.0,
    "Upright bass": -5.0,
    "Hand claps": -8.0,
}


def arranged(session: Session) -> Session:
    """Two clips of the bell line with a gap between them, and a bar of the shaker that comes again."""
    tracks = {track.name: track.id for track in session.tracks}

    def frame(bar: int) -> int:
        return round(session.tempo.seconds_of((bar - 1) * session.metre.first.bar) * session.rate)

    def clip(name: str, number: int) -> tuple[int, int]:
        return tracks[name], session.track(tracks[name]).clips[number].id

    session = split(session, tracks["Bell line 1"], [frame(4), frame(6)])
    session = delete(session, [clip("Bell line 1", 1)])
    session = split(session, tracks["Ferry shaker"], [frame(6), frame(7)])
    session = delete(session, [clip("Ferry shaker", 2)])
    return repeat(session, *clip("Ferry shaker", 1), 2, frame(7) - frame(6))


def make_session(recordings: list[tuple[str, Path]]) -> None:
    session = Session(name="Harbour ferry")
    places = {}
    for name, path in recordings:
        audio = read_audio(path)
        content = content_hash(path)
        places[content] = path
        session = add_recording(
            session, Recording(content, path.name, audio.rate, audio.frames, audio.channels), name
        )
        heard = analyse(audio, path.stem)
        session = set_analysis(session, content, heard.onsets, heard.measured, heard.material)
    tracks = {track.name: track.id for track in session.tracks}
    session = replace(session, name="Harbour ferry")
    session = set_beat_one(set_tempo(session, TEMPO), LEAD)
    kit = tracks["Bucket kit"]
    session = lock(session, kit, [tracks["Room pair"]])
    session = set_tighten(session, kit, grid=Grid(16), swing=54.0, strength=0.82, leave_alone=4.0)
    session = set_moving(session, kit, by=MoveBy.STRETCHING)
    for name, track in tracks.items():
        session = set_level(session, track, LEVELS.get(name, -10.0 if "Bell" in name else -3.0))
    for name in ("Tongue drum", "Bell line 2"):
        session = set_muted(session, tracks[name], True)
    session = arranged(replace(set_loop(session, 4.0, 12.0), is_looping=False))
    folder = DEMO / "harbour-ferry"
    save_session(folder, History(session), places)
    opened = load_session(folder)
    print(f"{folder}: {len(opened.history.session.tracks)} tracks, missing {opened.missing}")


if __name__ == "__main__":
    make_session(make_recordings())
