"""Results kept as long as the very same values are asked for."""

from collections import OrderedDict
from collections.abc import Callable, Sequence
from functools import wraps
from typing import ParamSpec, TypeVar

P = ParamSpec("P")
R = TypeVar("R")


MANY = 4096
"""Results for each take or clip."""
LEAST_RESULTS, MOST_BYTES = 16, 32 << 20
"""Of large results only so many are kept as take so much room, but always a few."""
ALL_BYTES = 384 << 20
"""What the results of all functions together may take."""


class _Remembered:
    """Bytes of all results that are kept."""

    total = 0


def by_identity(size: int) -> Callable[[Callable[P, R]], Callable[P, R]]:
    """Keep the last `size` results, fewer where they are large, found by the identity of the arguments.

    Arguments are immutable. Equality would walk thousands of onsets; an unchanged part of a session is the
    very same object.
    """
    return by_parts(size, lambda *args, **kwargs: (*args, *kwargs.values()))


def by_parts(size: int, parts: Callable[P, Sequence[object]]) -> Callable[[Callable[P, R]], Callable[P, R]]:
    """The same, found by the identity of those parts of the arguments that the result depends on."""

    def decorate(function: Callable[P, R]) -> Callable[P, R]:
        kept: OrderedDict[tuple[int, ...], tuple[Sequence[object], R, int]] = OrderedDict()
        weight = 0

        @wraps(function)
        def remembered(*args: P.args, **kwargs: P.kwargs) -> R:
            nonlocal weight
            values = parts(*args, **kwargs)
            key = tuple(map(id, values))
            found = kept.get(key)
            if found is not None:
                try:  # noqa: SIM105 - `suppress` takes longer than all the rest
                    kept.move_to_end(key)
                except KeyError:  # another thread has let go of it
                    pass
                return found[1]
            result = function(*args, **kwargs)
            bytes_of_it = _weight(result)
            entry = values, result, bytes_of_it  # its parts are held: no id is used again
            there = kept.setdefault(key, entry)
            if there is not entry:  # another thread was quicker: one result for the same parts, whoever asks
                return there[1]
            weight += bytes_of_it
            _Remembered.total += bytes_of_it
            while len(kept) > size or (
                (weight > MOST_BYTES or _Remembered.total > ALL_BYTES) and len(kept) > LEAST_RESULTS
            ):
                try:
                    freed = kept.popitem(last=False)[1][2]
                except KeyError:  # another thread was quicker
                    break
                weight -= freed
                _Remembered.total -= freed
            return result

        return remembered

    return decorate


def _weight(result: object) -> int:
    """Bytes of the arrays of a result and of its parts, roughly."""
    return (
        100
        + _bytes_of(result)
        + sum(_bytes_of(part) for each in _parts(result) for part in (each, *_parts(each)))
    )


def _parts(value: object) -> Sequence[object]:
    if isinstance(value, tuple):
        return value
    return tuple(getattr(value, "__dict__", {}).values())


def _bytes_of(part: object) -> int:
    return int(getattr(part, "nbytes", 0))
