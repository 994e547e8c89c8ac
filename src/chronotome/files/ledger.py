"""Histories as lines of JSON in which every part stands once: for saved histories and for the journal.

Each line is a part (a recording, a track, a session that names parts by number) or an event (what was done
to the history). Parts that did not change between two steps are the same objects in memory, so they are
written once, and are the same objects again after reading.
"""

from collections.abc import Iterable, Iterator
from typing import Any, TypeVar

import msgspec

from chronotome.files.door import converted, trusted
from chronotome.session.history import History, Step
from chronotome.session.limits import Name
from chronotome.session.model import Recording, Session, Track, check, replace

T = TypeVar("T")
encode = msgspec.json.Encoder().encode
WHOLE = [name for name in Session.__struct_fields__ if name not in {"recordings", "tracks"}]


class LedgerWriter:
    """Turns sessions into lines; remembers which parts were written."""

    def __init__(self) -> None:
        self._numbers: dict[int, int] = {}
        self._kept: list[object] = []  # holds every part, so that no id is used again

    def lines_for(self, session: Session) -> tuple[int, list[bytes]]:
        """The session's number, and the lines of all its parts that were not written yet."""
        lines: list[bytes] = []
        known = self._numbers.get(id(session))
        if known is not None:
            return known, lines
        recordings = [self._number("recording", part, lines) for part in session.recordings]
        tracks = [self._number("track", part, lines) for part in session.tracks]
        value = {name: getattr(session, name) for name in WHOLE}
        number = self._new(session)
        lines.append(encode({"session": number, "value": value, "recordings": recordings, "tracks": tracks}))
        return number, lines

    def event(self, kind: str, history: History) -> list[bytes]:
        """Lines for what just happened: `then`, `amend`, `undo` or `redo` led to `history`."""
        if kind in {"undo", "redo"}:
            return [encode({"event": kind})]
        number, lines = self.lines_for(history.session)
        label = history.undo_label if kind == "then" else None
        return [*lines, encode({"event": kind, "session": number, "label": label})]

    def whole(self, history: History) -> list[bytes]:
        """Lines for a history with all its steps."""
        lines: list[bytes] = []

        def steps(these: tuple[Step, ...]) -> list[tuple[int, str]]:
            result = []
            for step in these:
                number, more = self.lines_for(step.session)
                lines.extend(more)
                result.append((number, step.label))
            return result

        past, future = steps(history.past), steps(history.future)
        number, more = self.lines_for(history.session)
        lines.extend(more)
        lines.append(encode({"event": "history", "past": past, "session": number, "future": future}))
        return lines

    def _number(self, kind: str, part: object, lines: list[bytes]) -> int:
        known = self._numbers.get(id(part))
        if known is not None:
            return known
        number = self._new(part)
        lines.append(encode({kind: number, "value": part}))
        return number

    def _new(self, part: object) -> int:
        self._kept.append(part)
        self._numbers[id(part)] = len(self._kept)
        return len(self._kept)


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

    def read(self, lines: Iterable[bytes]) -> None:
        for line in lines:
            if line.strip():
                self._read_line(trusted(line, dict[str, Any]))

    def _read_line(self, entry: dict[str, Any]) -> None:
        if "event" in entry:
            self._happen(entry)
        elif "recording" in entry:
            self._parts[_number(entry["recording"])] = converted(entry.get("value"), Recording)
        elif "track" in entry:
            self._parts[_number(entry["track"])] = converted(entry.get("value"), Track)
        elif "session" in entry:
            self._parts[_number(entry["session"])] = self._session(entry)
        else:
            self.notes.append(entry)

    def _session(self, entry: dict[str, Any]) -> Session:
        whole = converted(entry.get("value"), Session)
        session = replace(
            whole,
            recordings=self._named(entry.get("recordings"), Recording),
            tracks=self._named(entry.get("tracks"), Track),
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
        self.events += 1
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

    def _steps(self, pairs: object) -> tuple[Step, ...]:
        steps = converted(pairs, list[tuple[int, Name]])
        return tuple(Step(self._kept_session(number), label) for number, label in steps)

    def _kept_session(self, number: object) -> Session:
        part = self._parts.get(_number(number))
        if not isinstance(part, Session):
            raise ValueError(f"session {number} was not written")
        return part


def _number(value: object) -> int:
    return converted(value, int)


def whole_lines(data: bytes) -> Iterator[bytes]:
    """Lines that end; a last one without an end was cut short by a crash."""
    yield from data.split(b"\n")[:-1]
