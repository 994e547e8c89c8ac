"""Histories as lines of JSON in which every part stands once: for saved histories and for the journal.

Each line is a part (a recording, a track, a session that names parts by number) or an event (what was done
to the history). Parts that did not change between two steps are the same objects in memory, so they are
written once, and are the same objects again after reading.
"""

from collections.abc import Iterable, Iterator
from typing import Any

import msgspec

from chronotome.session.history import History, Step
from chronotome.session.model import Recording, Session, Track, check, replace

encode = msgspec.json.Encoder().encode
decode = msgspec.json.Decoder().decode
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
                self._read_line(decode(line))

    def _read_line(self, entry: Any) -> None:
        if not isinstance(entry, dict):
            raise ValueError("a line of a ledger must be an object")
        if "event" in entry:
            self._happen(entry)
        elif "recording" in entry:
            self._parts[entry["recording"]] = msgspec.convert(entry["value"], Recording)
        elif "track" in entry:
            self._parts[entry["track"]] = msgspec.convert(entry["value"], Track)
        elif "session" in entry:
            self._parts[entry["session"]] = self._session(entry)
        else:
            self.notes.append(entry)

    def _session(self, entry: dict[str, Any]) -> Session:
        try:
            recordings = tuple(self._parts[number] for number in entry["recordings"])
            tracks = tuple(self._parts[number] for number in entry["tracks"])
        except (KeyError, TypeError):
            raise ValueError("a session names a part that was not written") from None
        whole = msgspec.convert(entry["value"], Session)
        session = replace(whole, recordings=recordings, tracks=tracks)
        check(session)
        return session

    def _happen(self, entry: dict[str, Any]) -> None:
        kind = entry["event"]
        if kind == "history":
            self.history = History(
                self._kept_session(entry["session"]),
                tuple(Step(self._kept_session(number), str(label)) for number, label in entry["past"]),
                tuple(Step(self._kept_session(number), str(label)) for number, label in entry["future"]),
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
            self.history = self.history.amended(self._kept_session(entry["session"]))
        elif kind == "then":
            self.history = self.history.then(self._kept_session(entry["session"]), str(entry["label"]))
        else:
            raise ValueError(f"a ledger does not know the event {kind!r}")

    def _kept_session(self, number: int) -> Session:
        part = self._parts.get(number)
        if not isinstance(part, Session):
            raise ValueError(f"session {number} was not written")
        return part


def whole_lines(data: bytes) -> Iterator[bytes]:
    """Lines that end; a last one without an end was cut short by a crash."""
    yield from data.split(b"\n")[:-1]
