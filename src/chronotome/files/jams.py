"""Marks as JAMS: annotations of music as JSON, which programs of research read and write.

Source: E. J. Humphrey et al., "JAMS: A JSON Annotated Music Specification", 2014.
"""

from collections.abc import Iterator, Sequence
from pathlib import Path
from typing import Annotated, Any

import msgspec
from msgspec import Meta, Struct

from chronotome import __version__
from chronotome.dsp.bands import Band
from chronotome.files.mark import Mark
from chronotome.files.safe_read import bytes_of
from chronotome.files.writing import write_whole
from chronotome.progress import Progress

MOST_BYTES = 64 << 20
ONSETS = ("onset", "segment_open", "beat")
"""Namespaces whose observations are places; those of the first that is there are taken."""


class Observation(Struct):
    time: float
    duration: float = 0.0
    value: Any = None
    confidence: Annotated[float, Meta(ge=0, le=1)] | None = None


class Annotation(Struct):
    namespace: Annotated[str, Meta(max_length=200)]
    data: list[Observation]


class Jams(Struct):
    annotations: list[Annotation]


def write_jams(path: Path, marks: Sequence[Mark], recording: Path, _rate: int) -> None:
    """Onsets with their strength as confidence, named by their name or their band."""
    observations = [
        {
            "time": mark.seconds,
            "duration": 0.0,
            "value": mark.name or mark.band.name.lower(),
            "confidence": mark.strength / 100,
        }
        for mark in marks
    ]
    about = {"curator": {"name": "", "email": ""}, "annotation_tools": f"chronotome {__version__}"}
    annotation = {
        "namespace": "onset",
        "data": observations,
        "annotation_metadata": about,
        "sandbox": {},
        "time": 0,
        "duration": None,
    }
    meta: dict[str, Any] = {
        "title": recording.stem,
        "artist": "",
        "release": "",
        "duration": None,
        "identifiers": {},
    }
    document = {
        "annotations": [annotation],
        "file_metadata": {**meta, "jams_version": "0.3.4"},
        "sandbox": {},
    }
    write_whole(path, msgspec.json.format(msgspec.json.encode(document)))


def read_jams(path: Path, _rate: int, _progress: Progress) -> Iterator[Mark]:
    try:
        document = msgspec.json.decode(bytes_of(path, MOST_BYTES), type=Jams)
    except (msgspec.MsgspecError, RecursionError) as error:
        raise ValueError("no JAMS") from error
    of_kind = {each.namespace: each for each in reversed(document.annotations)}
    found = next((of_kind[kind] for kind in ONSETS if kind in of_kind), None)
    names = {band.name.lower(): band for band in Band}
    for each in [] if found is None else found.data:
        words = each.value if isinstance(each.value, str) else ""
        strength = 100.0 if each.confidence is None else 100 * each.confidence
        band = names.get(words)
        yield Mark(each.time, strength, Band.MID if band is None else band, "" if band is not None else words)
