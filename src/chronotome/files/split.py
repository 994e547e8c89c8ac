"""A recording written as slices: files in order that are it again, put end to end."""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import pairwise
from pathlib import Path
from typing import Any

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.dsp.bands import Band
from chronotome.files.audio_file import read_audio
from chronotome.files.audio_out import ENCODINGS, write_blocks
from chronotome.files.headless import Headless, timed
from chronotome.files.naming import names_by, numbered
from chronotome.files.writing import new_folder, refuse_full
from chronotome.progress import Progress, part_of, unheard
from chronotome.session.edits.slicing import Cuts, cut_frames
from chronotome.session.model import Recording
from chronotome.session.onset_filter import USUAL_THRESHOLD


@dataclass(frozen=True)
class Splitting:
    """Where a recording is cut; lines lie at a tempo and a beat one, as measured where none is said."""

    cuts: Cuts
    needs_beats: bool = False
    tempo: float | None = None
    beat_one: float | None = None
    threshold: float = USUAL_THRESHOLD
    names: str = "{name}-{number}"


def split_file(path: Path, folder: Path, how: Splitting, progress: Progress = unheard) -> dict[str, Any]:
    """Write the slices of a recording to a new or an empty folder.

    Returns
    -------
    What `slices.json` says of them.

    Raises
    ------
    UnusableFile
        Where it cannot be read, is silent, or has no beats to cut at.
    CannotWrite
    """
    refuse_full(folder)
    work = Headless()
    track = work.bring(path, part_of(progress, 0.0, 0.6), threshold=how.threshold)
    session = timed(
        work.session, track, path, tempo=how.tempo, beat_one=how.beat_one, needs_beats=how.needs_beats
    )
    track = session.track(track.id)
    recording = session.recordings[0]
    frames = cut_frames(session, track, next(iter(track.clips)), how.cuts)
    edges = [0, *(frame for frame in frames if 0 < frame < recording.frames), recording.frames]
    audio = read_audio(path, part_of(progress, 0.6, 0.8))
    with new_folder(folder):
        spans = list(pairwise(edges))
        traits = [_traits(recording, start, end) for start, end in spans]
        rows = [
            {
                "name": path.stem,
                "number": numbered(number, len(spans)),
                "band": each["band"] or "",
                "bpm": f"{session.tempo.at(0.0):.6g}",
                "ms": f"{1000 * (end - start) / audio.rate:.0f}",
            }
            for number, (each, (start, end)) in enumerate(zip(traits, spans, strict=True), 1)
        ]
        names, slices = names_by(how.names, rows, ".wav"), []
        for number, (name, told, (start, end)) in enumerate(zip(names, traits, spans, strict=True)):
            slices.append({"file": name, "start_frame": start, "end_frame": end} | told)
            write_blocks(
                folder / name,
                _one(audio.samples[start:end]),
                rate=audio.rate,
                channels=audio.samples.shape[1],
                frames=end - start,
                encoding=ENCODINGS["wavfloat"],
            )
            progress(0.8 + 0.2 * (number + 1) / len(spans))
        return {"version": 1, "rate": audio.rate, "slices": slices}


def _one(samples: Samples) -> Iterator[Samples]:
    yield samples


def _traits(recording: Recording, start: int, end: int) -> dict[str, Any]:
    """Band and strength of the strongest onset that counts in it; none where there is none."""
    onsets = recording.onsets
    counts = onsets.counted(recording.threshold)
    inside = np.flatnonzero(counts & (onsets.frame_array >= start) & (onsets.frame_array < end))
    if not len(inside):
        return {"band": None, "strength": 0.0}
    at = int(inside[onsets.strength_array[inside].argmax()])
    return {"band": Band(onsets.bands[at]).name.lower(), "strength": onsets.strengths[at]}
