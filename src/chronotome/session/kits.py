"""Kits: slices of recordings on keys."""

from typing import Annotated

from msgspec import Meta, Struct

from chronotome.dsp.tone import NO_CUTOFF, Tone
from chronotome.session.grid import FASTEST
from chronotome.session.limits import ContentHash, FrameCount, FrameNumber, Id, Name
from chronotome.session.slices import Cutoff, Loudness, Milliseconds, Pan, Semitones, Tilt

KitId = Id
MOST_KIT = 4096
"""Slices of one kit."""
MOST_KITS = 200
HIGHEST_KEY = 4095
MOST_CHOKES = 16

Key = Annotated[int, Meta(ge=0, le=HIGHEST_KEY)]


class KitSlice(Struct, frozen=True):
    """The audio between two cuts of a recording, on a key.

    Invariant: `start` < `end`, frames at the recording's own rate.
    """

    id: Id
    recording: ContentHash
    start: FrameNumber
    end: FrameCount
    key: Key
    name: Name = ""
    """Empty: what is printed on its key."""
    loudness: Loudness = 0.0
    pan: Pan = 0.0
    semitones: Semitones = 0.0
    is_reversed: bool = False
    tilt: Tilt = 0.0
    cutoff: Cutoff = NO_CUTOFF
    fade_in: Milliseconds = 0.0
    fade_out: Milliseconds = 0.0
    is_held: bool = False
    """Whether it sounds only as long as its key is held; else to its end."""
    choke: Annotated[int, Meta(ge=0, le=MOST_CHOKES)] = 0
    """Slices with the same number end one another; 0: none does."""
    band: Annotated[int, Meta(ge=0, le=2)] = 1
    tempo: Annotated[float, Meta(ge=0.0, le=FASTEST)] = 0.0
    """Quarter notes a minute of what it was cut from; 0: not known."""
    follows: Id = 0
    """The slice whose sound goes on in it, though it lies in a file of its own; 0: as its recording tells."""


def tone_of(piece: KitSlice) -> Tone:
    return Tone(*(getattr(piece, name) for name in Tone._fields))


class Kit(Struct, frozen=True):
    """Slices on keys, in the order of their keys.

    Invariants: ids are unique and below `next_id`; so are keys.
    """

    id: KitId
    name: Name
    slices: Annotated[tuple[KitSlice, ...], Meta(min_length=1, max_length=MOST_KIT)]
    semitones: Semitones = 0.0
    """Of all of it, beside those of each."""
    by_tape: bool = True
    """Whether pitch changes length as well, as a key played elsewhere does."""
    fits_song: bool = False
    """Whether each slice is stretched from the tempo that it was played at to the song's."""
    next_id: Id = 1

    def __post_init__(self) -> None:
        ids, keys = {each.id for each in self.slices}, {each.key for each in self.slices}
        if len(ids) < len(self.slices) or max(ids, default=0) >= self.next_id:
            raise ValueError("ids of the slices of a kit must be unique and below next_id")
        if len(keys) < len(self.slices):
            raise ValueError("two slices of a kit are on one key")
        if any(each.end <= each.start for each in self.slices):
            raise ValueError("a slice of a kit must end after it starts")

    def slice_of(self, number: int) -> KitSlice | None:
        return next((each for each in self.slices if each.id == number), None)

    def on_key(self, key: int) -> KitSlice | None:
        return next((each for each in self.slices if each.key == key), None)


KEY_NAMES = "QWERTYUIOPASDFGHJKLZXCVBNM"
"""What is printed on the keys of a kit, from the first: three rows of letters, named as on most keyboards."""
FIRST_NOTE, HIGHEST_NOTE = 36, 127
"""MIDI notes of the first key, and of the last that has one."""


def key_name(key: int) -> str:
    """What is printed on a key; a figure before it where the letters are used again."""
    octave, at = divmod(key, len(KEY_NAMES))
    return KEY_NAMES[at] if not octave else f"{octave + 1}{KEY_NAMES[at]}"
