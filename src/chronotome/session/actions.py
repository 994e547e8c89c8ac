"""What can be done to a session by name and figures: for the command line, and for whatever asks from afar.

One row an action: its name, what its values are, and the edit behind it. Nothing here knows of a window.
"""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from functools import partial
from math import isfinite
from typing import Any

from chronotome.session.edits.metre import set_metre, set_metre_from
from chronotome.session.edits.sections import add_section
from chronotome.session.edits.tempo import scale_tempo, set_tempo, set_tempo_from
from chronotome.session.edits.tightening import reset_hits, set_tighten
from chronotome.session.edits.timing import set_beat_one, set_loop, set_looping
from chronotome.session.edits.tracks import (
    LOUDEST,
    QUIETEST,
    rename,
    set_level,
    set_moving,
    set_muted,
    set_pan,
    set_solo,
)
from chronotome.session.grid import FASTEST, SLOWEST
from chronotome.session.limits import LONGEST_NAME
from chronotome.session.metre import METRES, Metre, metre_of
from chronotome.session.model import Session, TrackId, replace
from chronotome.session.settings import MOST_SEMITONES, MOST_SHIFT
from chronotome.words import tr

LATEST_BAR, LATEST_SECONDS = 100_000, 86_400.0
DIVISIONS = (4, 8, 16, 32)
ON, OFF = {"on", "yes", "true", "1"}, {"off", "no", "false", "0"}


@dataclass(frozen=True)
class Value:
    """One value of an action: what it is called, and the door through which it comes."""

    name: str
    read: Callable[[str], Any]
    """Raises ValueError."""


def _number(low: float, high: float, text: str) -> float:
    number = float(text.replace(",", "."))
    if not isfinite(number) or not low <= number <= high:
        raise ValueError(tr("{0:g} to {1:g}", low, high))
    return number


def _switch(text: str) -> bool:
    if text.casefold() not in ON | OFF:
        raise ValueError(tr("on or off"))
    return text.casefold() in ON


def _name(text: str) -> str:
    name = text.strip()
    if not name or len(name) > LONGEST_NAME or not name.isprintable():
        raise ValueError(tr("a name of at most {0} characters", LONGEST_NAME))
    return name


def _metre(text: str) -> Metre:
    try:
        return metre_of(text)
    except ValueError:
        raise ValueError(", ".join(each.words for each in METRES)) from None


def _division(text: str) -> int:
    if text not in {str(each) for each in DIVISIONS}:
        raise ValueError(", ".join(map(str, DIVISIONS)))
    return int(text)


def number(name: str, low: float, high: float) -> Value:
    return Value(name, partial(_number, low, high))


BPM, BAR = number("BPM", SLOWEST, FASTEST), number("BAR", -LATEST_BAR, LATEST_BAR)
END_BAR = Value("END_BAR", BAR.read)
PERCENT, SWITCH, NAME = number("PERCENT", 0, 100), Value("on|off", _switch), Value("NAME", _name)


@dataclass(frozen=True)
class SessionAction:
    """What an action does to a session; of one track where it says so."""

    words: str
    values: tuple[Value, ...]
    do: Callable[..., Session]
    """(session, *values), or (session, track, *values)."""
    of_track: bool = False


def _from_bar(session: Session, bar: float, bpm: float) -> Session:
    return set_tempo_from(session, session.metre.beat_of(bar - 1), bpm)


def _metre_from(session: Session, bar: float, metre: Metre) -> Session:
    return set_metre_from(session, round(bar) - 1, metre)


def _bars(session: Session, start: float, end: float) -> tuple[float, float]:
    return session.metre.beat_of(start - 1), session.metre.beat_of(end - 1)


def _loop(session: Session, start: float, end: float) -> Session:
    return set_loop(session, *_bars(session, start, end))


def _section(session: Session, name: str, start: float, end: float) -> Session:
    return add_section(session, name, *_bars(session, start, end))


def _recipe(name: str, factor: float = 1.0) -> Callable[[Session, TrackId, float], Session]:
    return lambda session, track, value: set_tighten(session, track, **{name: value * factor})


def _grid(session: Session, track: TrackId, division: int) -> Session:
    grid = session.track(session.guide_of(track)).tighten.grid
    return set_tighten(session, track, grid=replace(grid, division=division))


def _pitch(session: Session, track: TrackId, semitones: float) -> Session:
    return set_moving(session, track, semitones=semitones)


def _pan(session: Session, track: TrackId, percent: float) -> Session:
    return set_pan(session, track, percent / 100)


ACTIONS: Mapping[str, SessionAction] = {
    "tempo": SessionAction(tr("Set tempo"), (BPM,), set_tempo),
    "tempo-from": SessionAction(tr("Set tempo from a bar on"), (BAR, BPM), _from_bar),
    "half-tempo": SessionAction(tr("Halve tempo"), (), lambda session: scale_tempo(session, 0.5)),
    "double-tempo": SessionAction(tr("Double tempo"), (), lambda session: scale_tempo(session, 2.0)),
    "metre": SessionAction(tr("Set metre"), (Value("METRE", _metre),), set_metre),
    "metre-from": SessionAction(tr("Set metre from a bar on"), (BAR, Value("METRE", _metre)), _metre_from),
    "beat-one": SessionAction(tr("Set beat one"), (number("SECONDS", 0, LATEST_SECONDS),), set_beat_one),
    "loop": SessionAction(tr("Loop from bar to bar"), (BAR, END_BAR), _loop),
    "unloop": SessionAction(tr("Turn loop off"), (), lambda session: set_looping(session, False)),
    "section": SessionAction(tr("Add section"), (NAME, BAR, END_BAR), _section),
    "strength": SessionAction(tr("Set strength"), (PERCENT,), _recipe("strength", 0.01), of_track=True),
    "swing": SessionAction(tr("Set swing"), (number("PERCENT", 50, 75),), _recipe("swing"), of_track=True),
    "grid": SessionAction(tr("Set grid"), (Value("DIVISION", _division),), _grid, of_track=True),
    "shift": SessionAction(
        tr("Set shift"), (number("MS", -MOST_SHIFT, MOST_SHIFT),), _recipe("shift"), of_track=True
    ),
    "leave-alone": SessionAction(
        tr("Set tolerance"), (number("MS", 0, 100),), _recipe("leave_alone"), of_track=True
    ),
    "catch": SessionAction(tr("Set attraction"), (PERCENT,), _recipe("catch", 0.01), of_track=True),
    "reset-hits": SessionAction(tr("Reset all hits"), (), reset_hits, of_track=True),
    "level": SessionAction(tr("Set level"), (number("DB", QUIETEST, LOUDEST),), set_level, of_track=True),
    "pan": SessionAction(tr("Set pan"), (number("PERCENT", -100, 100),), _pan, of_track=True),
    "pitch": SessionAction(
        tr("Set pitch"), (number("SEMITONES", -MOST_SEMITONES, MOST_SEMITONES),), _pitch, of_track=True
    ),
    "mute": SessionAction(tr("Mute"), (SWITCH,), set_muted, of_track=True),
    "solo": SessionAction(tr("Solo"), (SWITCH,), set_solo, of_track=True),
    "rename": SessionAction(tr("Rename track"), (NAME,), rename, of_track=True),
}
"""By the names by which they are asked for."""


def acted(session: Session, name: str, texts: Sequence[str], tracks: Sequence[TrackId]) -> Session:
    """The session after an action; one of tracks is done to each of them in turn.

    Parameters
    ----------
    session : Session
    name : str
        One of `ACTIONS`.
    texts : text of each of its values
    tracks : ids of tracks of the session

    Returns
    -------
    Session
        The very object that was given where nothing is another.

    Raises
    ------
    ValueError
        If there is no such action, or a value is missing, too much, or none that it may be: the message says
        what it may be.
    """
    action = ACTIONS.get(name)
    if action is None:
        raise ValueError(tr("there is no action “{0}”", name))
    if len(texts) != len(action.values):
        wanted = ", ".join(each.name for each in action.values) or tr("no value")
        raise ValueError(tr("“{0}” takes {1}", name, wanted))
    values = [_read(name, value, text) for value, text in zip(action.values, texts, strict=True)]
    if not action.of_track:
        return action.do(session, *values)
    for track in tracks:
        session = action.do(session, track, *values)
    return session


def _read(name: str, value: Value, text: str) -> Any:
    try:
        return value.read(text)
    except ValueError as error:
        may = str(error) if "could not convert" not in str(error) else tr("a number")
        raise ValueError(tr("“{0}” of “{1}” may be: {2}", value.name, name, may)) from None
