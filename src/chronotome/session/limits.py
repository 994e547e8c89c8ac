"""The widest values that a document may hold: whatever decodes one refuses the rest.

What comes from outside is decoded into these types and no others, so no reader can go around them.
"""

from typing import Annotated

from msgspec import Meta

MOST_FRAMES = 1 << 32
"""A day at 48 kHz."""
MOST_BEATS = 200_000
MOST_ONSETS = 2_000_000
LOWEST_RATE, HIGHEST_RATE = 1_000, 768_000
LONGEST_NAME = 1_000
MOST_SECONDS = 1e6
FARTHEST_BEAT = 1e6

FrameNumber = Annotated[int, Meta(ge=0, le=MOST_FRAMES)]
FrameCount = Annotated[int, Meta(ge=1, le=MOST_FRAMES)]
Rate = Annotated[int, Meta(ge=LOWEST_RATE, le=HIGHEST_RATE)]
Channels = Annotated[int, Meta(ge=1, le=64)]
Moment = Annotated[float, Meta(ge=-MOST_SECONDS, le=MOST_SECONDS)]
Beat = Annotated[float, Meta(ge=-FARTHEST_BEAT, le=FARTHEST_BEAT)]
Share = Annotated[float, Meta(ge=0.0, le=1.0)]
Strength = Annotated[float, Meta(ge=0.0, le=100.0)]
Id = Annotated[int, Meta(ge=0, le=1 << 53)]
Name = Annotated[str, Meta(max_length=LONGEST_NAME)]
FileName = Annotated[str, Meta(min_length=1, max_length=255, pattern=r"\A(?!\.{1,2}\Z)[^/\\\x00-\x1f]+\Z")]
"""A plain name: it cannot lead out of the folder that it is looked up in."""
ContentHash = Annotated[str, Meta(pattern=r"\A[0-9a-f]{32}\Z")]
