"""Sessions, grids and edits for hypothesis."""

from pathlib import Path

import numpy as np
from hypothesis import strategies as st

from chronotome.dsp.hits import HitTraits
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.files.audio_file import content_hash
from chronotome.session.edits.metre import set_metre_from
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tempo import ramp_tempo, set_tempo
from chronotome.session.edits.tightening import move_hit, reset_hits, set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.edits.tracks import set_level, set_moving, set_muted
from chronotome.session.grid import DIVISIONS, Feel, Grid, TempoChange, TempoMap
from chronotome.session.metre import Metre, MetreChange, metre_map
from chronotome.session.model import Recording, Session, replace
from chronotome.session.onsets import Onsets, onsets_from
from sounds import noise_hits, write

RATE = 48000

grids = st.builds(Grid, st.sampled_from(DIVISIONS), st.sampled_from(Feel))
metres = st.builds(Metre, st.integers(2, 7), st.sampled_from([4, 8]))
metre_maps = st.builds(
    lambda first, bars, others: metre_map(first, tuple(map(MetreChange, sorted(bars), others[: len(bars)]))),
    metres,
    st.sets(st.integers(1, 24), max_size=4),
    st.lists(metres, min_size=4, max_size=4),
)
"""Of songs whose metre changes up to four times."""
swings = st.floats(50, 75)


@st.composite
def tempo_maps(draw: st.DrawFn) -> TempoMap:
    beats = sorted(draw(st.sets(st.integers(-16, 64), min_size=1, max_size=5)))
    tempi = draw(st.lists(st.floats(40, 240), min_size=len(beats), max_size=len(beats)))
    changes = tuple(TempoChange(float(beat), tempo) for beat, tempo in zip(beats, tempi, strict=True))
    return TempoMap(changes, draw(st.floats(0, 5)))


@st.composite
def onset_tables(draw: st.DrawFn, *, longest: int = 20) -> Onsets:
    gaps = draw(st.lists(st.integers(300, 30000), min_size=1, max_size=longest))
    frames = np.cumsum(gaps)
    strengths = draw(st.lists(st.floats(0, 100), min_size=len(gaps), max_size=len(gaps)))
    return onsets_from(frames, np.array(strengths), np.zeros(len(gaps), np.int64))


@st.composite
def sessions(draw: st.DrawFn) -> Session:
    """One track of one recording, tightened in some way."""
    onsets = draw(onset_tables())
    recording = Recording("c" * 32, "take.wav", RATE, onsets.frames[-1] + 20000, 2)
    session = add_recording(Session(), recording, "take")
    session = set_analysis(session, recording.content, onsets, None)
    session = set_beat_one(set_tempo(session, draw(st.floats(60, 200))), draw(st.floats(0, 1)))
    track = session.tracks[0].id
    session = set_moving(session, track, by=draw(st.sampled_from(MoveBy)))
    return set_tighten(
        session,
        track,
        grid=draw(grids),
        swing=draw(swings),
        strength=draw(st.floats(0, 1)),
        leave_alone=draw(st.floats(0, 20)),
    )


@st.composite
def edits(draw: st.DrawFn):
    """Something that a person does; it may change nothing."""
    kind = draw(st.integers(0, 8))
    number = draw(st.floats(0, 1))

    def edit(session: Session) -> Session:
        track = session.tracks[0]
        recording = session.recordings[0]
        onset = recording.onsets.ids[int(number * (len(recording.onsets) - 1))]
        choices = [
            lambda: set_tempo(session, 60 + 100 * number),
            lambda: set_beat_one(session, number),
            lambda: set_tighten(session, track.id, strength=round(number, 1)),
            lambda: move_hit(session, track.id, track.clips[0].id, onset, 8 * number),
            lambda: reset_hits(session, track.id),
            lambda: set_muted(session, track.id, number > 0.5),
            lambda: set_level(session, track.id, -20 * number),
            lambda: set_metre_from(session, int(9 * number), Metre(2 + int(6 * number), 8)),
            lambda: ramp_tempo(session, 20 * number, 24.0, 60 + 100 * number),
        ]
        return choices[kind]()

    return edit


def simple_session(frames: list[int], total: int, *, tempo: float = 120.0, rate: int = RATE) -> Session:
    """One track whose onsets are all sure."""
    recording = Recording("a" * 32, "take.wav", rate, total, 1)
    session = add_recording(Session(), recording, "take")
    count = len(frames)
    onsets = onsets_from(np.array(frames, np.int64), np.full(count, 90.0), np.ones(count, np.int64))
    session = set_analysis(session, recording.content, onsets, None)
    return set_beat_one(set_tempo(session, tempo), 0.0)


def with_audio(session: Session, folder: Path) -> tuple[Session, dict[str, Path]]:
    """The session with a real file for its recording."""
    path = write(folder / "take.wav", noise_hits([500], session.recordings[0].frames, rate=48000), rate=48000)
    content = content_hash(path)
    recording = replace(session.recordings[0], content=content)
    track = session.tracks[0]
    clip = replace(track.clips[0], take=replace(track.clips[0].take, recording=content))
    session = replace(session, recordings=(recording,), tracks=(replace(track, clips=(clip,)),))
    return session, {content: path}


def traits_of(levels, *, attacks=None, energies=None):
    """What was measured of hits that are as loud as that."""
    count = len(levels)
    given = np.asarray(levels, float)
    return HitTraits(
        given,
        given if energies is None else np.asarray(energies, float),
        np.zeros(count, np.int64),
        np.ones(count, bool) if attacks is None else np.asarray(attacks),
    )
