"""What a person changed of single hits, and how one such list differs from another, without walking it."""

from bisect import bisect_left
from collections import OrderedDict
from collections.abc import Iterator
from functools import lru_cache
from operator import attrgetter

from chronotome.session.model import Touch
from chronotome.session.onsets import OnsetId
from chronotome.session.settings import TightenSettings

Touches = tuple[Touch, ...]
OwnRecipes = tuple[tuple[OnsetId, TightenSettings], ...]
"""Hits with a recipe of their own, in order."""
MOST_CHANGED = 64
"""Touches between the first and the last that is another one; more are looked through whole."""
KNOWN = 64

_known: OrderedDict[int, tuple[tuple[Touch, ...], OwnRecipes]] = OrderedDict()
"""By the onset of the first: lists of one take have it in common, most often."""


def beats_of_onsets(touches: tuple[Touch, ...], onsets: list[OnsetId]) -> Iterator[tuple[OnsetId, float]]:
    """The beats to which a hand tied some onsets."""
    for onset in onsets:
        at = bisect_left(touches, onset, key=attrgetter("onset"))
        if at < len(touches) and touches[at].onset == onset and touches[at].beat is not None:
            yield onset, touches[at].beat  # type: ignore[misc]


def _between(
    before: tuple[Touch, ...], after: tuple[Touch, ...]
) -> tuple[tuple[Touch, ...], tuple[Touch, ...]]:
    """What is gone and what has come, from the first to the last that is another one."""
    start = _alike(before, after)
    tail = _alike(before[start:][::-1], after[start:][::-1])
    return before[start : len(before) - tail], after[start : len(after) - tail]


def moved_between(before: tuple[Touch, ...], after: tuple[Touch, ...]) -> list[OnsetId] | None:
    """The onsets whose beats differ; None where many of them may."""
    gone, come = _between(before, after)
    if len(gone) + len(come) > MOST_CHANGED:
        return None
    old, new = ({each.onset: each.beat for each in touches} for touches in (gone, come))
    return [onset for onset in {**old, **new} if old.get(onset) != new.get(onset)]


def own_recipes(touches: tuple[Touch, ...]) -> OwnRecipes:
    """The very same object for lists with the same recipes."""
    if not touches:
        return ()
    known = _known.get(touches[0].onset)
    if known is not None:
        gone, come = _between(known[0], touches)
        has_own = any(each.recipe is not None for each in (*gone, *come))
        if len(gone) + len(come) <= MOST_CHANGED and not has_own:
            _known[touches[0].onset] = touches, known[1]
            return known[1]
    own = _same_recipes(tuple((each.onset, each.recipe) for each in touches if each.recipe is not None))
    _known[touches[0].onset] = touches, own
    while len(_known) > KNOWN:
        _known.popitem(last=False)
    return own


@lru_cache(maxsize=256)
def _same_recipes(own: OwnRecipes) -> OwnRecipes:
    return own


def _alike(one: tuple[Touch, ...], other: tuple[Touch, ...]) -> int:
    """How many are the same from the start on; what was not changed is the same object."""
    low, high = 0, min(len(one), len(other))
    while low < high:
        middle = (low + high + 1) // 2
        if one[low:middle] == other[low:middle]:
            low = middle
        else:
            high = middle - 1
    return low
