"""The metronome: what its beats sound like, where they fall, and the count before it plays."""

from dataclasses import dataclass

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.session.model import ClickSound, Session
from chronotome.units import Frames, frames_at, gain_of


@dataclass(frozen=True, eq=False)
class ClickPlan:
    """Session frames of beats; those of `accents` start a bar and sound higher."""

    gain: float
    accents: Frames
    others: Frames
    sound: ClickSound = ClickSound.WOOD


@dataclass(frozen=True)
class Timbre:
    """Partials over the first, how fast it fades, and the pitches of beat one and of the others."""

    partials: tuple[tuple[float, float], ...]
    fade: float
    accent: float
    beat: float
    seconds: float = 0.030


TIMBRES = {
    ClickSound.WOOD: Timbre(((1.0, 1.0), (2.76, 0.3)), 0.006, 1760.0, 1174.7),
    ClickSound.TICK: Timbre(((1.0, 1.0), (1.83, 0.8), (3.17, 0.6)), 0.0016, 3400.0, 2500.0, 0.012),
    ClickSound.BELL: Timbre(((1.0, 1.0), (2.0, 0.5), (3.01, 0.35), (4.17, 0.2)), 0.035, 1318.5, 987.8, 0.160),
}


def click_plan(session: Session, frames: int) -> ClickPlan:
    """Clicks on every beat from the session's start to a bar past its end."""
    tempo, metre = session.tempo, session.metre
    end = tempo.beat_of(frames / session.rate)
    beats, numbers = metre.beat_lines(tempo.beat_of(0.0), end + metre.bar_length(end))
    places = frames_at(tempo.seconds_at(beats), session.rate)
    starts_bar = (numbers == 0) & session.click.accents
    return ClickPlan(
        gain_of(session.click.level), places[starts_bar], places[~starts_bar], session.click.sound
    )


def click_sound(rate: int, sound: ClickSound, *, is_accent: bool) -> Samples:
    """One click, float32, shape (frames, 1), peak 1."""
    timbre = TIMBRES[sound]
    pitch = timbre.accent if is_accent else timbre.beat
    moments = np.arange(int(timbre.seconds * rate)) / rate
    left = (len(moments) - np.arange(len(moments))) / (0.005 * rate)
    wave = np.zeros(len(moments))
    for ratio, share in timbre.partials:
        if pitch * ratio < rate / 2:
            wave += share * np.sin(2 * np.pi * pitch * ratio * moments)
    wave *= np.exp(-moments / timbre.fade) * np.minimum(1, left)
    return (wave / np.abs(wave).max())[:, None].astype(np.float32)


def count_in(session: Session, frame: float) -> Samples:
    """The bars that are counted before it plays from a frame, at the tempo there; empty where none are.

    Returns
    -------
    float32, shape (frames, 1)
        As long as the count: the frame itself sounds right after it.
    """
    tempo, rate = session.tempo, session.rate
    start = tempo.beat_of(frame / rate)
    metre = session.metre.metre_at(start)
    beats = session.click.count_in * metre.beats
    per_beat = tempo.seconds_of(start + metre.beat) - tempo.seconds_of(start)
    counted = np.zeros((round(beats * per_beat * rate), 1), np.float32)
    for beat in range(beats):
        is_accent = beat % metre.beats == 0 and session.click.accents
        sound = click_sound(rate, session.click.sound, is_accent=is_accent)
        at = round(beat * per_beat * rate)
        part = sound[: len(counted) - at]
        counted[at : at + len(part)] += part
    return counted * np.float32(gain_of(session.click.level))
