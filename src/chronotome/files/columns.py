"""What is different between two long tuples, as few short splices."""

from collections.abc import Iterable, Iterator
from itertools import groupby
from typing import Any

Column = tuple[Any, ...]
Splice = tuple[int, int, Column]
"""Place in the old tuple, how many go there, and what comes instead."""

AT_ONCE, FEW = 1024, 32
MOST_SPLICES = 50
"""With more of them the whole tuple is written: each costs a copy of it when it is read."""


def differences(old: Column, new: Column) -> list[Splice] | None:
    """Splices that lead from old to new, in order of place; None where these would be too many.

    Two tuples that share their values are compared by identity, 2,048 at once.
    """
    if len(old) != len(new):
        first = _same(old, new)
        last = min(_same(old[::-1], new[::-1]), len(old) - first, len(new) - first)
        return [(first, len(old) - first - last, new[first : len(new) - last])]
    places: list[int] = []
    for start in _unlike(old, new, 0, len(old), AT_ONCE):
        for at in _unlike(old, new, start, min(start + AT_ONCE, len(old)), FEW):
            few = range(at, min(at + FEW, len(old)))
            places += [place for place in few if old[place] != new[place]]
    return splices_at(places, new)


def splices_at(places: list[int], new: Column) -> list[Splice] | None:
    """The same where it is known which values of a column as long as the old one are others."""
    runs = [list(run) for _, run in groupby(enumerate(places), lambda pair: pair[1] - pair[0])]
    if len(runs) > MOST_SPLICES:
        return None
    spans = [(run[0][1], run[-1][1] + 1) for run in runs]
    return [(first, last - first, new[first:last]) for first, last in spans]


def _unlike(old: Column, new: Column, first: int, last: int, step: int) -> Iterator[int]:
    """Where pieces begin that are not the same."""
    for start in range(first, last, step):
        if old[start : start + step] != new[start : start + step]:
            yield start


def _same(one: Column, other: Column) -> int:
    """How many values at the beginning are the same."""
    least = min(len(one), len(other))
    for start in range(0, least, AT_ONCE):
        before, after = one[start : start + AT_ONCE], other[start : start + AT_ONCE]
        if before != after:
            pairs = enumerate(zip(before, after, strict=False))
            return start + next((at for at, (a, b) in pairs if a != b), min(len(before), len(after)))
    return least


def spliced(old: Column, changes: Iterable[Splice]) -> Column:
    """The tuple that the splices lead to.

    Raises
    ------
    ValueError
        If they are not in order, or lie outside of it.
    """
    column, done, longer = old, 0, 0
    for at, gone, put in changes:
        if at < done or at + gone > len(old):
            raise ValueError("a change lies outside of its column")
        column = column[: at + longer] + put + column[at + longer + gone :]
        done, longer = at + gone, longer + len(put) - gone
    return column
