"""What a sound file says of itself besides its samples: tempo, metre, beat one, cues; written and read.

WAV: `cue `, `LIST adtl`, `smpl` and an ID3 chunk; FLAC, OGG and Opus: Vorbis comments, cues as the Chapter
Extension has them; MP3: ID3v2.4.
"""

import re
import struct
from collections.abc import Iterable
from dataclasses import dataclass
from itertools import pairwise
from pathlib import Path
from typing import BinaryIO

import numpy as np

from chronotome.files import id3, ogg, riff
from chronotome.files.audio_out import Encoding
from chronotome.files.names import shown
from chronotome.files.safe_read import opened_file
from chronotome.files.tags import texts_of
from chronotome.session.fit import Fit, Pin
from chronotome.session.grid import FASTEST, SLOWEST, TempoChange, TempoMap
from chronotome.session.limits import MOST_BEATS, MOST_SECONDS
from chronotome.session.metre import Metre, MetreChange, MetreMap, metre_of
from chronotome.session.model import Section, Session, replace

METRE, BEAT_ONE, TEMPO_MAP, METRE_MAP = "METRE", "BEATONE", "TEMPOMAP", "METREMAP"
MOST_TOLD = 2000
"""Changes: of more a file says nothing."""
MOST_CUES = 999
LINES, NEAR = 16, 0.2
"""Lines a quarter note, and how near to one is on it."""


@dataclass(frozen=True)
class Markers:
    """`beat_one` is the first bar line, in seconds; a cue without a name ends what the one before began.

    Where the tempo changes, `tempi` says from which beat on, counted in quarter notes from beat one, it is
    how many bpm; `metre_changes` from which bar on, that of beat one being 0, which metre holds.
    """

    tempo: float | None = None
    metre: str = ""
    beat_one: float | None = None
    cues: tuple[tuple[float, str], ...] = ()
    is_loop: bool = False
    tempi: tuple[TempoChange, ...] = ()
    metre_changes: tuple[MetreChange, ...] = ()

    @property
    def clock(self) -> TempoMap | None:
        """Beats and seconds of the file, where it says both tempo and beat one."""
        if self.beat_one is None or (self.tempo is None and not self.tempi):
            return None
        return TempoMap(self.tempi or (TempoChange(0.0, self.tempo or FASTEST),), self.beat_one)

    @property
    def texts(self) -> list[tuple[str, str]]:
        """All but the tempo, as comments."""
        told = [(METRE, self.metre)] if self.metre else []
        told += [] if self.beat_one is None else [(BEAT_ONE, f"{self.beat_one:.9f}")]
        if self.tempi:
            told.append(
                (TEMPO_MAP, _listed((each.beat, f"{each.beats_per_minute:.9g}") for each in self.tempi))
            )
        if self.metre_changes:
            told.append((METRE_MAP, _listed((each.bar, each.metre.words) for each in self.metre_changes)))
        for number, (seconds, name) in enumerate(self.cues[:MOST_CUES]):
            told.append((f"CHAPTER{number:03d}", _moment(seconds)))
            told += [(f"CHAPTER{number:03d}NAME", name)] if name else []
        return told

    @property
    def comments(self) -> list[tuple[str, str]]:
        return [*([] if self.tempo is None else [("BPM", f"{self.tempo:.9g}")]), *self.texts]


def _listed(changes: Iterable[tuple[float, str]]) -> str:
    return " ".join(f"{at:.12g}:{what}" for at, what in changes)


def _unlisted(words: str) -> list[tuple[float, str]]:
    """Places and what begins there; none where they do not rise or are too many."""
    parts = [each.partition(":") for each in words.split()[: MOST_TOLD + 1]]
    found = [(_number(at), what) for at, _, what in parts]
    places = [at for at, _ in found if at is not None]
    is_good = len(places) == len(found) <= MOST_TOLD and all(a < b for a, b in pairwise(places))
    return [(at, what) for at, what in found if at is not None] if is_good else []


def _moment(seconds: float) -> str:
    return f"{int(seconds) // 3600:02d}:{int(seconds) // 60 % 60:02d}:{seconds % 60:06.3f}"


def _seconds(moment: str) -> float | None:
    found = re.fullmatch(r"(\d{1,4}):(\d\d):(\d\d(?:\.\d{1,9})?)", moment)
    return 3600 * int(found[1]) + 60 * int(found[2]) + float(found[3]) if found else None


def markers_of(session: Session, start: int, end: int, *, is_loop: bool = False) -> Markers:
    """Of session frames [start, end): tempo where it is one all through, bars, where sections are."""
    first, last = session.beat_of(start), session.beat_of(end)
    line = session.metre.next_bar(session.beat_of(start - 0.5))  # the frame of a bar line is rounded
    before = [each for each in session.tempo.changes if each.beat <= first + 1e-6]
    tempo = (before[-1] if before else session.tempo.changes[0]).beats_per_minute
    inside = [each for each in session.tempo.changes if first < each.beat < last]
    bends = any(each.beats_per_minute != tempo for each in inside)
    cues: dict[float, str] = {}
    for section in session.sections:
        cues.setdefault(section.end, "")
        cues[section.start] = section.name
    placed = sorted((session.frame_of(beat) - start, name) for beat, name in cues.items())
    told = tuple((frame / session.rate, name) for frame, name in placed if 0 <= frame < end - start)
    at = max(0.0, (session.frame_of(line) - start) / session.rate)
    tempi = [
        TempoChange(min(0.0, first - line), tempo),
        *(replace(each, beat=each.beat - line) for each in inside),
    ]
    seen = session.metre.seen_from(line)
    metres = tuple(each for each in seen.changes if seen.beat_of(each.bar) < last - line)
    is_told = bends and len(tempi) <= MOST_TOLD and len(metres) <= MOST_TOLD
    return Markers(
        None if bends else tempo,
        seen.first.words,
        at,
        told[:MOST_CUES],
        is_loop,
        tuple(tempi) if is_told else (),
        metres,
    )


def put_markers(file: BinaryIO, encoding: Encoding, markers: Markers, rate: int, frames: int) -> None:
    """Into a file that has all its samples."""
    if encoding.container == "WAV":
        cues = [(round(seconds * rate), name) for seconds, name in markers.cues]
        made = riff.cue_chunks(cues) if cues else b""
        made += riff.loop_chunk(frames, rate) if markers.is_loop else b""
        texts = [each for each in markers.texts if not each[0].startswith("CHAPTER")]
        riff.append(file, made + riff.chunk(b"id3 ", id3.tag(markers.tempo, texts, ())))
    elif encoding.container == "FLAC":
        ogg.add_to_flac(file, markers.comments)
    elif encoding.container == "OGG":
        ogg.add_to_ogg(file, markers.comments)
    elif encoding.container == "MP3":
        ogg.replace_head(file, 0, id3.tag(markers.tempo, markers.texts, markers.cues))


def read_markers(path: Path) -> Markers:
    """What a file says; nothing where it says nothing, or nothing that can be believed."""
    told = texts_of(path)
    tempo, beat_one = _number(told.get("bpm")), _number(told.get(BEAT_ONE.lower()))
    chapters = [(_seconds(told.get(f"chapter{number:03d}", "")), number) for number in range(MOST_CUES)]
    cues = [
        (at, shown(told.get(f"chapter{number:03d}name", ""))) for at, number in chapters if at is not None
    ]
    if path.suffix.lower() == ".wav":
        cues = _cues_in(path)
    metre = told.get(METRE.lower(), "")
    tempi = [(at, _number(bpm)) for at, bpm in _unlisted(told.get(TEMPO_MAP.lower(), ""))]
    metres = [(at, _metre(words)) for at, words in _unlisted(told.get(METRE_MAP.lower(), ""))]
    return Markers(
        tempo if tempo is not None and SLOWEST <= tempo <= FASTEST else None,
        metre if _metre(metre) is not None else "",
        beat_one if beat_one is not None and 0 <= beat_one <= MOST_SECONDS else None,
        tuple(sorted(cues))[:MOST_CUES],
        tempi=tuple(
            TempoChange(at, bpm) for at, bpm in tempi if bpm is not None and SLOWEST <= bpm <= FASTEST
        ),
        metre_changes=tuple(
            MetreChange(int(at), each)
            for at, each in metres
            if each is not None and 1 <= at < MOST_BEATS and at == int(at)
        ),
    )


def _metre(words: str) -> Metre | None:
    try:
        return metre_of(words)
    except ValueError:
        return None


def _cues_in(path: Path) -> list[tuple[float, str]]:
    try:
        with opened_file(path) as file:
            return [(frame / rate, shown(name)) for frame, rate, name in riff.cues(file)][:MOST_CUES]
    except (OSError, ValueError, struct.error):
        return []


def _number(text: str | None) -> float | None:
    try:
        number = float((text or "").replace(",", "."))
    except ValueError:
        return None
    return number if abs(number) <= MOST_SECONDS else None


def fit_told(markers: Markers, rate: int, frames: int) -> Fit:
    """The fit of a file that says where beat one is; else nothing is said: a tempo alone is one vote."""
    clock = markers.clock
    if clock is None or markers.beat_one is None:
        return Fit()
    if markers.tempi:
        return _fit_through(clock, rate, frames)
    return Fit(tempo=markers.tempo, beat_one=min(frames - 1, round(markers.beat_one * rate)))


def _fit_through(clock: TempoMap, rate: int, frames: int) -> Fit:
    """Every beat of a file whose tempo changes tied to its frame, and every place where it changes."""
    first, last = (clock.beat_of(seconds) for seconds in (0.0, (frames - 1) / rate))
    beats = np.union1d(
        np.arange(np.ceil(first), np.floor(last) + 1), [each.beat for each in clock.changes[1:]]
    )
    places = np.rint(clock.seconds_at(beats) * rate).astype(int).tolist()
    told = dict(zip(places, beats.tolist(), strict=True))  # of two beats on one frame the later one
    pins = tuple(Pin(frame, beat) for frame, beat in told.items() if 0 <= frame < frames)
    return Fit(tempo=clock.changes[0].beats_per_minute, pins=pins[:MOST_BEATS])


def metre_told(markers: Markers) -> MetreMap | None:
    first = _metre(markers.metre)
    return None if first is None else MetreMap(first, markers.metre_changes)


def sections_of(markers: Markers, length: float) -> tuple[Section, ...]:
    """Sections from each cue that has a name to the next, in beats from beat one; none without a tempo.

    Places are told in milliseconds: what is near a sixty-fourth note is on it.
    """
    clock = markers.clock
    if clock is None:
        return ()
    ends = [*markers.cues, (length, "")]
    beats = [(clock.beat_of(seconds), name) for seconds, name in ends]
    placed = [(_on_its_line(beat), name) for beat, name in beats]
    return tuple(
        Section(name, start, end) for (start, name), (end, _) in pairwise(placed) if name and end > start
    )


def _on_its_line(beat: float) -> float:
    line = round(beat * LINES) / LINES
    return line if abs(beat - line) < NEAR / LINES else beat
