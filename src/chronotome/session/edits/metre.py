"""Edits of the song's metre: it changes at bar lines; what lies there stays where it sounds."""

from collections.abc import Iterable
from operator import attrgetter

import numpy as np

from chronotome.session.limits import MOST_BEATS
from chronotome.session.metre import MOST_METRE_CHANGES, ON_LINE, Metre, MetreChange
from chronotome.session.model import Session, replace


def set_metre(session: Session, metre: Metre) -> Session:
    """One metre for the whole song."""
    return with_metres(session, metre, ())


def set_metre_at(session: Session, beat: float, metre: Metre) -> Session:
    """Another metre at a beat: from the change before it to the next one."""
    at, changes = session.metre.stretch_at(beat), session.metre_changes
    if at == 0:
        return with_metres(session, metre, changes)
    return set_metre_from(session, changes[at - 1].bar, metre)


def set_metre_from(session: Session, bar: int, metre: Metre, *, bars: int = 0) -> Session:
    """Another metre from a bar on, counted from 0; after so many bars of it the song goes on as it was.

    What lies behind stays where it sounds, and its bars are counted anew. The changes behind them keep their
    distance in bars where `bars` is 0; else they move by the bars more or fewer that these span now.
    """
    bar = max(0, bar)
    before = session.metre
    if bars <= 0:
        changes = [each for each in session.metre_changes if each.bar != bar]
    else:
        start = before.beat_of(bar)
        end = before.bar_at(start + bars * metre.bar)  # where what comes now ends, in the bars of before
        resumed = int(np.ceil(end - ON_LINE))
        by = bar + bars - resumed
        changes = [each for each in session.metre_changes if each.bar < bar]
        changes.append(MetreChange(bar + bars, before.metre_at(before.beat_of(resumed))))
        changes += [
            MetreChange(each.bar + by, each.metre) for each in session.metre_changes if each.bar > resumed
        ]
    if bar == 0:
        return with_metres(session, metre, changes)
    return with_metres(session, session.first_metre, [*changes, MetreChange(bar, metre)])


def remove_metre_change(session: Session, beat: float) -> Session:
    """The last change up to a beat goes; the first metre of all stays."""
    at, changes = session.metre.stretch_at(beat), session.metre_changes
    if at == 0:
        return session
    return with_metres(session, session.first_metre, changes[: at - 1] + changes[at:])


def move_metre_change(session: Session, at: int, bar: int) -> Session:
    """A change, by its number, to another bar between those beside it."""
    changes = session.metre_changes
    if at >= len(changes):  # undone under the hand
        return session
    low = changes[at - 1].bar + 1 if at else 1
    high = changes[at + 1].bar - 1 if at + 1 < len(changes) else MOST_BEATS
    moved = MetreChange(max(low, min(high, bar)), changes[at].metre)
    return with_metres(session, session.first_metre, (*changes[:at], moved, *changes[at + 1 :]))


def with_metres(session: Session, first: Metre, changes: Iterable[MetreChange]) -> Session:
    """With other metres; a change to the metre that holds already is none."""
    kept = list[MetreChange]()
    for each in sorted(changes, key=attrgetter("bar")):
        if each.metre != (kept[-1].metre if kept else first):
            kept.append(each)
    if len(kept) > MOST_METRE_CHANGES or (session.first_metre, session.metre_changes) == (first, tuple(kept)):
        return session
    return replace(session, first_metre=first, metre_changes=tuple(kept))
