"""Results kept as long as the very same values are asked for."""

from collections import OrderedDict
from collections.abc import Callable, Sequence
from functools import wraps
from typing import ParamSpec, TypeVar

P = ParamSpec("P")
R = TypeVar("R")


MOST_RESULTS, MOST_BYTES = 1 << 16, 32 << 20
"""Of a function's results beyond those that are always kept."""


def by_identity(size: int) -> Callable[[Callable[P, R]], Callable[P, R]]:
    """Keep the last `size` results, and more while they are small, found by the identity of the arguments.

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
                return found[1]
            result = function(*args, **kwargs)
            bytes_of_it = _weight(result)
            kept[key] = (values, result, bytes_of_it)  # its parts are held: no id is used again
            weight += bytes_of_it
            while len(kept) > size and (len(kept) > MOST_RESULTS or weight > MOST_BYTES):
                try:
                    weight -= kept.popitem(last=False)[1][2]
                except KeyError:  # another thread was quicker
                    break
            return result

        return remembered

    return decorate


def _weight(result: object) -> int:
    """Bytes of the arrays of a result, roughly."""
    parts = result if isinstance(result, tuple) else getattr(result, "__dict__", {}).values() or (result,)
    return 100 + sum(getattr(part, "nbytes", 0) for part in parts)
