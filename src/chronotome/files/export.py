"""What is heard, written to a file."""

from collections.abc import Iterable, Sequence
from pathlib import Path

from chronotome.files.audio_out import Encoding, WrittenFile, write_blocks
from chronotome.files.finish import Aim, Cut, Finish, dithered
from chronotome.files.markers import Markers, markers_of, put_markers
from chronotome.files.names import plain_name
from chronotome.files.writing import new_folder, refuse_sources
from chronotome.progress import Progress, part_of, unheard
from chronotome.render.arena import Arena
from chronotome.render.mix import Side
from chronotome.render.plan import Plan, plan_for
from chronotome.render.renderer import OfflineMix, Renderer, Sources, render_mix
from chronotome.session.anchors import extent_of, window_of
from chronotome.session.edits.bounce import heard_alone, span_of
from chronotome.session.edits.clips import Place
from chronotome.session.model import Session, Track, replace

AS_HEARD = Finish()


def export_mix(
    mix: OfflineMix,
    path: Path,
    *,
    rate: int,
    encoding: Encoding,
    start: int = 0,
    end: int | None = None,
    side: Side = Side.EDITED,
    finish: Finish = AS_HEARD,
    gain: float | None = None,
    markers: Markers | None = None,
    sources: Iterable[Path] = (),
    progress: Progress = unheard,
) -> WrittenFile:
    """Write frames [start, end) of a mix; never onto a source.

    With the usual finish they are the very samples that the player plays. `gain` is what brings it to its
    level where that is known already, as for stems, which keep the mix's. `markers` are what the file says
    of itself.

    Raises
    ------
    CannotWrite, UnusableFile
    """
    refuse_sources(path, sources)
    cut = cut_of(mix, start, end, side, rate, encoding, finish)
    if gain is None:
        gain = cut.gain(part_of(progress, 0.0, 0.4))
    blocks = cut.blocks(gain)
    if encoding.subtype == "PCM_16" and finish.is_dithered:
        blocks = dithered(blocks, encoding.steps)
    return write_blocks(
        path,
        blocks,
        rate=cut.rate,
        channels=mix.channels,
        frames=cut.frames,
        encoding=encoding,
        progress=part_of(progress, 0.0 if finish.aim is Aim.NOTHING else 0.4, 1.0),
        behind=None
        if markers is None
        else lambda file: put_markers(file, encoding, markers, cut.rate, cut.frames),
    )


def export_stems(  # noqa: PLR0917 - what sounds, where it goes, and what becomes of it
    session: Session,
    sources: Sources,
    arena: Arena,
    folder: Path,
    encoding: Encoding,
    span: tuple[int, int | None],
    side: Side = Side.EDITED,
    finish: Finish = AS_HEARD,
    progress: Progress = unheard,
    *,
    is_marked: bool = True,
) -> list[WrittenFile]:
    """Each track that sounds as a file of its own in a new or an empty folder; all as long, to the frame.

    What brings the mix to its level brings each of them as far: together they are the mix.

    Raises
    ------
    CannotWrite, UnusableFile
    """
    with new_folder(folder):
        renderer, rate = Renderer(arena), session.rate
        try:
            whole = OfflineMix(
                render_mix(renderer, without_click(plan_for(session)), sources, unheard), arena
            )
            start, end = span[0], heard_end(session, side) if span[1] is None else span[1]
            gain = cut_of(whole, start, end, side, rate, encoding, finish).gain(part_of(progress, 0.0, 0.2))
            tracks, made = sounding_tracks(session), list[WrittenFile]()
            digits = max(2, len(str(len(tracks))))
            for number, track in enumerate(tracks):
                share = part_of(
                    progress, 0.2 + 0.8 * number / len(tracks), 0.2 + 0.8 * (number + 1) / len(tracks)
                )
                alone = replace(
                    session, tracks=tuple(replace(each, is_solo=each is track) for each in session.tracks)
                )
                mix = OfflineMix(
                    render_mix(renderer, without_click(plan_for(alone)), sources, unheard), arena
                )
                name = plain_name(f"{number + 1:0{digits}d} {track.name}{encoding.suffix}")
                written = export_mix(
                    mix,
                    folder / name,
                    rate=rate,
                    encoding=encoding,
                    start=start,
                    end=end,
                    side=side,
                    finish=finish,
                    gain=gain,
                    markers=markers_of(session, start, end, is_loop=finish.closes) if is_marked else None,
                    progress=share,
                )
                made.append(written)
            return made
        finally:
            renderer.cache.clear()


def export_clips(  # noqa: PLR0917 - what is heard, of what, and where it goes
    session: Session,
    places: Sequence[Place],
    sources: Sources,
    arena: Arena,
    path: Path,
    encoding: Encoding,
    progress: Progress = unheard,
) -> WrittenFile:
    """What is heard of some clips where nothing else sounds, from the first frame of them to the last.

    Raises
    ------
    CannotWrite, Cancelled
    """
    renderer, (start, end) = Renderer(arena), span_of(session, places)
    try:
        plan = without_click(plan_for(heard_alone(session, places)))
        made = render_mix(renderer, plan, sources, part_of(progress, 0.0, 0.6))
        mix = OfflineMix(made, arena, channels=_channels(session, places))
        share = part_of(progress, 0.6, 1.0)
        return export_mix(
            mix, path, rate=session.rate, encoding=encoding, start=start, end=end, progress=share
        )
    finally:
        renderer.cache.clear()


def _channels(session: Session, places: Sequence[Place]) -> int:
    """One where only recordings of one channel are heard, and nothing puts them beside the middle."""
    clips = [session.track(place[0]).clip(place[1]) for place in places]
    is_wide = len({track for track, _ in places}) > 1
    is_wide |= any(clip.take.slices is not None or clip.take.playing is not None for clip in clips)
    most = max(session.recording_with(clip.recording).channels for clip in clips)
    return 2 if is_wide or most > 1 else 1


def heard_end(session: Session, side: Side) -> int:
    """Where the last of what is heard ends; of what is as played, where that was played."""
    clips = [(track, clip) for track in sounding_tracks(session) for clip in track.clips if not clip.is_muted]
    if side is Side.AS_PLAYED:
        ends = [session.played_span(clip)[1] for _, clip in clips]
    else:
        ends = [window_of(session, track, clip).end for track, clip in clips]
    return max(ends, default=extent_of(session))


def without_click(plan: Plan) -> Plan:
    """The click is never written."""
    return Plan(plan.rate, plan.frames, plan.tracks)


def sounding_tracks(session: Session) -> list[Track]:
    """Those that are heard: not muted, and soloed where any is."""
    some = [track for track in session.tracks if track.is_solo]
    return [track for track in some or session.tracks if not track.is_muted and track.clips]


def cut_of(  # noqa: PLR0917 - what is cut of what, and what becomes of it
    mix: OfflineMix,
    start: int,
    end: int | None,
    side: Side,
    rate: int,
    encoding: Encoding,
    finish: Finish,
) -> Cut:
    """A span of a mix at the rate that the file can hold."""
    end = mix.frames if end is None else end
    return Cut(mix, rate, finish.rate_for(encoding, rate), start, max(start + 1, end), side, finish)
