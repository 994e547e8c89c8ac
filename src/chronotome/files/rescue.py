"""Recordings whose file is gone, written anew from the samples that are still in memory."""

import os
from pathlib import Path

import numpy as np
import soundfile
import soxr

from chronotome.dsp.audio import Samples
from chronotome.files.audio_file import FileFacts, facts_of
from chronotome.files.takes import TakeInfo, describe, discard, new_take
from chronotome.files.writing import NewFile, cannot_write
from chronotome.progress import Progress, part_of, unheard
from chronotome.render.pool import Source
from chronotome.session.model import Recording


def write_anew(source: Source, recording: Recording, progress: Progress = unheard) -> FileFacts:
    """A file of our own with what was read of a recording: as many frames, at its own rate, in float.

    Where the session has another rate the samples went through it: they are equal to about -100 dB.

    Raises
    ------
    CannotWrite
    """
    path, handle = new_take("rescued")
    try:
        with NewFile(handle, "r+b") as file:
            samples = _at_its_rate(source, recording)
            soundfile.write(file, samples, recording.rate, format="WAV", subtype="FLOAT")
            file.check()
            os.fsync(file.fileno())
        describe(path, TakeInfo(Path(recording.file).stem or "rescued", recording.rate))
        return facts_of(path, part_of(progress, 0.5, 1.0))
    except (OSError, soundfile.LibsndfileError) as error:
        discard(path)
        raise cannot_write(path, error) from None
    except BaseException:
        discard(path)
        raise


def _at_its_rate(source: Source, recording: Recording) -> Samples:
    samples = source.region.samples
    if source.rate != recording.rate:
        samples = soxr.resample(samples, source.rate, recording.rate, quality="VHQ")
    whole = np.zeros((recording.frames, recording.channels), np.float32)
    count = min(len(samples), len(whole))
    whole[:count] = samples[:count]
    return whole
