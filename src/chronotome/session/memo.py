"""Results kept as long as the very same values are asked for."""

from collections import OrderedDict
from collections.abc import Callable
from functools import wraps
from typing import ParamSpec, TypeVar

P = ParamSpec("P")
R = TypeVar("R")


def by_identity(size: int) -> Callable[[Callable[P, R]], Callable[P, R]]:
    """Keep the last `size` results, found by the identity of the arguments (immutable ones only).

    Equality would walk thousands of onsets; an unchanged part of a session is the very same object.
    """

    def decorate(function: Callable[P, R]) -> Callable[P, R]:
        kept: OrderedDict[tuple[int, ...], tuple[tuple[object, ...], R]] = OrderedDict()

        @wraps(function)
        def remembered(*args: P.args, **kwargs: P.kwargs) -> R:
            values = (*args, *kwargs.values())
            key = tuple(id(value) for value in values)
            found = kept.get(key)
            if found is not None:
                return found[1]
            result = function(*args, **kwargs)
            kept[key] = (values, result)  # holding the arguments keeps their ids from being used again
            while len(kept) > size:
                try:
                    kept.popitem(last=False)
                except KeyError:  # another thread was quicker
                    break
            return result

        return remembered

    return decorate
