"""Histories as lines of JSON in which every part stands once: for saved histories and for the journal.

Each line is a part (a column of onsets, a recording, a track, a session, each naming its parts by number) or
an event (what was done to the history). Parts that did not change between two steps are the same objects in
memory, so they are written once, and are the same objects again after reading. A column that did change is
written as what is different from the one before it.
"""

import base64
import gc
import zlib
from collections.abc import Callable, Iterable, Iterator, Sequence
from typing import Annotated, Any, TypeVar, get_type_hints

import msgspec
import numpy as np
from msgspec import Meta

from chronotome.files.columns import MOST_SPLICES, Column, Splice, differences, spliced, splices_at
from chronotome.files.migrations import track_of_today, with_shared_takes
from chronotome.files.safe_read import converted, trusted
from chronotome.session.edits.tracks import with_takes
from chronotome.session.history import MOST_STEPS, History, HistoryEntry
from chronotome.session.kits import Kit
from chronotome.session.limits import ContentHash, Id, Name
from chronotome.session.model import ClipId, Recording, Session, Take, Track, replace
from chronotome.session.onsets import Onsets
from chronotome.session.patterns import Pattern, PatternId
from chronotome.session.slices import MOST_TABLE, Roll, Scatter, Slices
from chronotome.session.validity import check

T = TypeVar("T")
_encode = msgspec.json.Encoder().encode
PACKED_FROM = 2048
"""Bytes of a line from which on it is packed: a journal grows with every edit."""
MOST_UNPACKED = 256 << 20
PARTS = ("recordings", "tracks", "kits", "patterns")
"""Of a session that stand in lines of their own."""
WHOLE = {
    name: written
    for name, written in zip(Session.__struct_fields__, Session.__struct_encode_fields__, strict=True)
    if name not in PARTS
}
"""Other fields, and how they are called in lines."""
COLUMNS = [name for name in Onsets.__struct_fields__ if name != "next_id"]
COLUMN_TYPES = {name: get_type_hints(Onsets, include_extras=True)[name] for name in COLUMNS}
NO_ONSETS = Onsets()
SLICE_COLUMNS = Slices.names()
SLICES = "slices."
"""Before the names of their columns, in lines."""
COLUMN_TYPES |= {
    SLICES + name: kind
    for name, kind in get_type_hints(Slices, include_extras=True).items()
    if name in SLICE_COLUMNS
}
TOUCHES, MANY_TOUCHES = "touches", 64
"""What a person changed of hits is a column from so many of them on: an edit writes what is new of it."""
COLUMN_TYPES[TOUCHES] = get_type_hints(Take, include_extras=True)[TOUCHES]
STEP_COLUMNS = Pattern.names()
STEPS = "steps."
COLUMN_TYPES |= {
    STEPS + name: kind
    for name, kind in get_type_hints(Pattern, include_extras=True).items()
    if name in STEP_COLUMNS
}
MOST_BYTES = 50 << 20
"""Of a history that is written: the oldest steps are left out, the rest is kept whole."""
Place = Annotated[int, Meta(ge=0, le=1 << 32)]
MOST_VALUES = 64_000_000
"""In all columns since numbers began, which is what they take in memory; a history takes half of it."""


def encode(entry: dict[str, Any]) -> bytes:
    """A line; a long one is packed (zlib, base64)."""
    line = _encode(entry)
    if len(line) < PACKED_FROM:
        return line
    return _encode({"packed": base64.b64encode(zlib.compress(line, 1)).decode("ascii")})


def _unpacked(packed: object) -> bytes:
    """The line that was packed; raises ValueError for what is none, or would have no end."""
    unpacker = zlib.decompressobj()
    try:
        line = unpacker.decompress(base64.b64decode(converted(packed, str), validate=True), MOST_UNPACKED)
    except zlib.error:
        raise ValueError("a line was packed and is damaged") from None
    if not unpacker.eof:
        raise ValueError("a line was packed and is longer than any that is written")
    return line


class TakeSlices(msgspec.Struct, frozen=True):
    """What a line of a track says of a clip that was taken apart: its columns by number, and tables."""

    columns: dict[str, int]
    rolls: Annotated[tuple[Roll, ...], Meta(max_length=MOST_TABLE)] = ()
    scatters: Annotated[tuple[Scatter, ...], Meta(max_length=MOST_TABLE)] = ()


class LedgerWriter:
    """Turns sessions into lines; remembers which parts were written."""

    def __init__(self) -> None:
        self._begin()

    def _begin(self) -> None:
        self._numbers: dict[int, int] = {}
        self._kept: list[object] = []  # holds every part, so that no id is used again
        self._columns: dict[tuple[str, int], int] = {}
        self._last: dict[ContentHash, Onsets] = {}
        self._last_slices: dict[ClipId, Slices] = {}
        self._last_touches: dict[ClipId, Column] = {}
        self._last_patterns: dict[PatternId, Pattern] = {}
        self._values = self._events = 0

    def lines_for(self, session: Session) -> tuple[int, list[bytes]]:
        """The session's number, and the lines of all its parts that were not written yet."""
        lines: list[bytes] = []
        known = self._numbers.get(id(session))
        if known is not None:
            return known, lines
        recordings = [self._recording(part, lines) for part in session.recordings]
        tracks = [self._track(part, lines) for part in session.tracks]
        entry: dict[str, Any] = {
            "value": {written: getattr(session, name) for name, written in WHOLE.items()}
        }
        entry |= {"recordings": recordings, "tracks": tracks}
        if session.kits:
            entry["kits"] = [self._kit(part, lines) for part in session.kits]
        if session.patterns:
            entry["patterns"] = [self._pattern(part, lines) for part in session.patterns]
        number = self._new(session)
        lines.append(encode({"session": number, **entry}))
        return number, lines

    def event(self, kind: str, history: History) -> list[bytes]:
        """Lines for what just happened: `then`, `amend`, `undo` or `redo` led to `history`."""
        if kind in {"undo", "redo"}:
            return [encode({"event": kind})]
        self._events += 1
        if self._values > MOST_VALUES - MOST_VALUES // 8 or self._events > 2 * MOST_STEPS:
            return self.whole(history)  # and lets go of the parts of steps that are forgotten
        number, lines = self.lines_for(history.session)
        label = history.undo_label if kind == "then" else None
        return [*lines, encode({"event": kind, "session": number, "label": label})]

    def whole(self, history: History) -> list[bytes]:
        """Lines for a history with its newest steps; begins anew, whatever was written before."""
        count = MOST_STEPS
        while True:
            self._begin()
            lines = self._whole(history, count)
            if not count or (sum(map(len, lines)) <= MOST_BYTES and self._values <= MOST_VALUES // 2):
                return lines
            count //= 2

    def _whole(self, history: History, count: int) -> list[bytes]:
        lines = [encode({"event": "anew"})]

        def steps(these: Sequence[HistoryEntry]) -> list[tuple[int, str]]:
            result = []
            for step in these:
                number, more = self.lines_for(step.session)
                lines.extend(more)
                result.append((number, step.label))
            return result

        past, future = steps(_last_of(history.past, count)), steps(_last_of(history.future, count))
        number, more = self.lines_for(history.session)
        lines.extend(more)
        lines.append(encode({"event": "history", "past": past, "session": number, "future": future}))
        return lines

    def _recording(self, part: Recording, lines: list[bytes]) -> int:
        known = self._numbers.get(id(part))
        if known is not None:
            return known
        own, before = part.onsets, self._last.get(part.content)
        columns = {name: self._column(name, own, before, lines) for name in COLUMNS}
        self._last[part.content] = own
        number = self._new(part)
        value, next_id = replace(part, onsets=NO_ONSETS), own.next_id
        lines.append(encode({"recording": number, "value": value, "columns": columns, "next_id": next_id}))
        return number

    def _column(self, name: str, own: Onsets, before: Onsets | None, lines: list[bytes]) -> int:
        column = getattr(own, name)
        known = self._columns.get((name, id(column)))
        if known is not None:
            return known
        changes = None if before is None else _changes(name, before, own)
        return self._written(name, column, None if before is None else getattr(before, name), changes, lines)

    def _written(
        self,
        name: str,
        column: Column,
        before: Column | None,
        changes: list[Splice] | None,
        lines: list[bytes],
    ) -> int:
        """A column that is new, as what is different from the one before it where that is little."""
        number = self._columns[name, id(column)] = self._new(column)
        self._values += len(column)
        of = None if before is None or changes is None else self._columns.get((name, id(before)))
        if of is None or changes is None or 2 * sum(len(put) for _, _, put in changes) > len(column):
            lines.append(encode({"column": number, "name": name, "value": column}))
        else:
            lines.append(encode({"column": number, "name": name, "of": of, "changes": changes}))
        return number

    def _slices(self, clip: ClipId, own: Slices, lines: list[bytes]) -> "TakeSlices":
        """The numbers of a clip's columns; those of the same clip before it tell what is new."""
        before = self._last_slices.get(clip)
        numbers = self._shared(SLICES, SLICE_COLUMNS, own, before, lines)
        self._last_slices[clip] = own
        return TakeSlices(numbers, own.rolls, own.scatters)

    def _touches(self, clip: ClipId, own: Column, lines: list[bytes]) -> int:
        """The number of a clip's touches; those of the same clip before it tell what is new."""
        known = self._columns.get((TOUCHES, id(own)))
        if known is None:
            before = self._last_touches.get(clip)
            changes = None if before is None else differences(before, own)
            known = self._written(TOUCHES, own, before, changes, lines)
        self._last_touches[clip] = own
        return known

    def _shared(
        self, prefix: str, names: Sequence[str], own: object, before: object, lines: list[bytes]
    ) -> dict[str, int]:
        """The numbers of columns that are not empty; what is new is told by those that were before."""
        numbers = dict[str, int]()
        for name in names:
            column: Column = getattr(own, name)
            if not column:
                continue
            known = self._columns.get((prefix + name, id(column)))
            if known is None:
                old: Column | None = None if before is None else getattr(before, name) or None
                changes = None if old is None else differences(old, column)
                known = self._written(prefix + name, column, old, changes, lines)
            numbers[name] = known
        return numbers

    def _kit(self, part: Kit, lines: list[bytes]) -> int:
        known = self._numbers.get(id(part))
        if known is None:
            known = self._new(part)
            lines.append(encode({"kit": known, "value": part}))
        return known

    def _pattern(self, part: Pattern, lines: list[bytes]) -> int:
        known = self._numbers.get(id(part))
        if known is not None:
            return known
        columns = self._shared(STEPS, STEP_COLUMNS, part, self._last_patterns.get(part.id), lines)
        self._last_patterns[part.id] = part
        number = self._new(part)
        value = replace(part, **dict.fromkeys(STEP_COLUMNS, ()))
        lines.append(encode({"pattern": number, "value": value, "columns": columns}))
        return number

    def _track(self, part: Track, lines: list[bytes]) -> int:
        known = self._numbers.get(id(part))
        if known is not None:
            return known
        slices = [
            None if clip.take.slices is None else self._slices(clip.id, clip.take.slices, lines)
            for clip in part.clips
        ]
        touches = [
            self._touches(clip.id, clip.take.touches, lines) if _has_many_touches(clip.take) else None
            for clip in part.clips
        ]
        number = self._new(part)
        entry: dict[str, Any] = {"track": number, "value": with_takes(part, _emptied)}
        entry |= {
            name: each
            for name, each in (("slices", slices), (TOUCHES, touches))
            if any(one is not None for one in each)
        }
        lines.append(encode(entry))
        return number

    def _new(self, part: object) -> int:
        self._kept.append(part)
        self._numbers[id(part)] = len(self._kept)
        return len(self._kept)


def _changes(name: str, before: Onsets, own: Onsets) -> list[Splice] | None:
    if name == "frames" and len(before) == len(own):  # compared as arrays, which are there already
        return splices_at(np.flatnonzero(before.frame_array != own.frame_array).tolist(), own.frames)
    return differences(getattr(before, name), getattr(own, name))


def _emptied(take: Take) -> Take:
    """Without what stands in lines of its own: the columns of its slices, and many touches."""
    if _has_many_touches(take):
        take = replace(take, touches=())
    slices = take.slices
    if slices is None:
        return take
    return replace(take, slices=replace(slices, **dict.fromkeys(SLICE_COLUMNS, ()), rolls=(), scatters=()))


def _has_many_touches(take: Take) -> bool:
    return len(take.touches) >= MANY_TOUCHES


def _last_of(steps: tuple[HistoryEntry, ...], count: int) -> tuple[HistoryEntry, ...]:
    return steps[len(steps) - min(count, len(steps)) :]


class LedgerReader:
    """Reads lines back into a history.

    Raises
    ------
    ValueError
        For a line that cannot be what was written; msgspec's errors are of this kind too.
    """

    def __init__(self) -> None:
        self._parts: dict[int, Any] = {}
        self.history: History | None = None
        self.notes: list[dict[str, Any]] = []
        self.events = 0
        """Of the person, after the history that it began with."""
        self._columns: dict[int, tuple[str, Column]] = {}
        self._values = 0

    def read(self, lines: Iterable[bytes]) -> None:
        """Take in lines, in their order; those before one that is wrong stay."""
        was_collecting = gc.isenabled()
        gc.disable()  # long tuples come into being and none goes: looking for them takes a quarter
        try:
            for line in lines:
                if line.strip():
                    entry = trusted(line, dict[str, Any])
                    packed = entry.get("packed")
                    self._read_line(entry if packed is None else trusted(_unpacked(packed), dict[str, Any]))
        finally:
            if was_collecting:
                gc.enable()

    def _read_line(self, entry: dict[str, Any]) -> None:
        if entry.get("event") == "anew":  # numbers begin again: what was written before is not named any more
            self._parts, self._columns, self._values = {}, {}, 0
        elif "event" in entry:
            self._happen(entry)
        elif "recording" in entry:
            self._parts[_number(entry["recording"])] = self._recording(entry)
        elif "column" in entry:
            self._columns[_number(entry["column"])] = self._column(entry)
        else:
            self._read_part(entry)

    def _read_part(self, entry: dict[str, Any]) -> None:
        """A part of a session, or a whole one; what is neither is a note."""
        kinds = {
            "kit": lambda entry: converted(entry.get("value"), Kit),
            "pattern": self._pattern,
            "track": self._track,
            "session": self._session,
        }
        kind = next((each for each in kinds if each in entry), None)
        if kind is None:
            self.notes.append(entry)
        else:
            self._parts[_number(entry[kind])] = kinds[kind](entry)

    def _recording(self, entry: dict[str, Any]) -> Recording:
        recording = converted(entry.get("value"), Recording)
        if "columns" not in entry:  # as it was written before columns were shared
            return recording
        numbers = converted(entry["columns"], dict[str, int])
        columns: dict[str, Any] = {}
        for name in COLUMNS:
            if name not in numbers:  # written by a version that had no such column
                continue
            written = self._columns.get(numbers[name])
            if written is None or written[0] != name:
                raise ValueError(f"a recording names a column of {name} that was not written")
            columns[name] = written[1]
        return replace(recording, onsets=Onsets(**columns, next_id=converted(entry.get("next_id"), Id)))

    def _pattern(self, entry: dict[str, Any]) -> Pattern:
        pattern = converted(entry.get("value"), Pattern)
        numbers = converted(entry.get("columns"), dict[str, int])
        columns = {name: self._named_column(STEPS + name, number) for name, number in numbers.items()}
        return replace(pattern, **columns)

    def _track(self, entry: dict[str, Any]) -> Track:
        track = converted(track_of_today(entry.get("value")), Track)
        if "slices" in entry:
            track = self._with(track, entry["slices"], TakeSlices, self._with_columns)
        if TOUCHES in entry:
            track = self._with(track, entry[TOUCHES], int, self._with_touches)
        return with_shared_takes(track)

    @staticmethod
    def _with(track: Track, told: object, kind: Any, change: Callable[[Take, Any], Take]) -> Track:
        """A track with what stood in lines of its own, clip by clip."""
        written = converted(told, list[kind | None])
        if len(written) != len(track.clips):
            raise ValueError("a track has other clips than were written")
        clips = (
            clip if each is None else replace(clip, take=change(clip.take, each))
            for clip, each in zip(track.clips, written, strict=True)
        )
        return replace(track, clips=tuple(clips))

    def _with_touches(self, take: Take, number: int) -> Take:
        return replace(take, touches=self._named_column(TOUCHES, number))

    def _with_columns(self, take: Take, written: "TakeSlices") -> Take:
        if take.slices is None:
            return take
        columns = {
            name: self._named_column(SLICES + name, number) for name, number in written.columns.items()
        }
        slices = replace(take.slices, **columns, rolls=written.rolls, scatters=written.scatters)
        return replace(take, slices=slices)

    def _named_column(self, name: str, number: int) -> Column:
        written = self._columns.get(number)
        if name not in COLUMN_TYPES or written is None or written[0] != name:
            raise ValueError(f"a column of {name!r:.40} is named that was not written")
        return written[1]

    def _column(self, entry: dict[str, Any]) -> tuple[str, Column]:
        name = converted(entry.get("name"), str)
        if name not in COLUMN_TYPES:
            raise ValueError(f"there is no column {name!r:.40}")
        if "of" in entry:
            of, before = self._columns.get(_number(entry["of"]), ("", ()))
            if of != name:
                raise ValueError("a column is made of another that was not written")
            changes = converted(entry.get("changes"), Changes)
            kind = COLUMN_TYPES[name]
            column = spliced(before, ((at, gone, converted(put, kind)) for at, gone, put in changes))
        else:
            column = converted(entry.get("value"), COLUMN_TYPES[name])
        self._values += len(column)
        if self._values > MOST_VALUES:
            raise ValueError("a history is larger than any that is written")
        return name, column

    def _session(self, entry: dict[str, Any]) -> Session:
        whole = converted(entry.get("value"), Session)
        session = replace(
            whole,
            recordings=self._named(entry.get("recordings"), Recording),
            tracks=self._named(entry.get("tracks"), Track),
            kits=self._named(entry.get("kits", []), Kit),
            patterns=self._named(entry.get("patterns", []), Pattern),
        )
        check(session)
        return session

    def _named(self, numbers: object, kind: type[T]) -> tuple[T, ...]:
        """Parts of a kind that were written before, by their numbers."""
        parts = [self._parts.get(number) for number in converted(numbers, list[int])]
        if not all(isinstance(part, kind) for part in parts):
            raise ValueError(f"a session names a {kind.__name__.lower()} that was not written")
        return tuple(part for part in parts if isinstance(part, kind))

    def _happen(self, entry: dict[str, Any]) -> None:
        kind = entry["event"]
        if kind == "history":
            if self.history is not None:  # written anew after a disk was full: more than was kept before
                self.events += 1
            self.history = History(
                self._kept_session(entry.get("session")),
                self._steps(entry.get("past")),
                self._steps(entry.get("future")),
            )
            return
        if self.history is None:
            raise ValueError("a ledger must start with a history")
        self.events += kind != "amend"  # what the machine adds, it adds again
        if kind == "undo":
            self.history = self.history.undone()
        elif kind == "redo":
            self.history = self.history.redone()
        elif kind == "amend":
            self.history = self.history.amended(self._kept_session(entry.get("session")))
        elif kind == "then":
            label = converted(entry.get("label"), Name)
            self.history = self.history.then(self._kept_session(entry.get("session")), label)
        else:
            raise ValueError(f"a ledger does not know the event {kind!r}")

    def _steps(self, pairs: object) -> tuple[HistoryEntry, ...]:
        steps = converted(pairs, list[tuple[int, Name]])
        return tuple(HistoryEntry(self._kept_session(number), label) for number, label in steps)

    def _kept_session(self, number: object) -> Session:
        part = self._parts.get(_number(number))
        if not isinstance(part, Session):
            raise ValueError(f"session {number} was not written")
        return part


Changes = Annotated[list[tuple[Place, Place, tuple[Any, ...]]], Meta(max_length=MOST_SPLICES)]


def _number(value: object) -> int:
    return converted(value, int)


def whole_lines(data: bytes) -> Iterator[bytes]:
    """Lines that end; a last one without an end was cut short by a crash."""
    yield from data.split(b"\n")[:-1]
