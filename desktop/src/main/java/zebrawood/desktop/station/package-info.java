/**
 * What a station's sheet is, without a scene: model, sections, ways, parts, decisions, entries,
 * practice.
 *
 * <p>A station extends {@link zebrawood.desktop.station.StationModel}: a form, its {@code Visit},
 * and the {@link zebrawood.desktop.station.Part}s of its left column. One way of reading is
 * declared once ({@link zebrawood.desktop.station.Ways}); a fold that is read by itself is a {@link
 * zebrawood.desktop.station.Section}, solved once a change. {@link
 * zebrawood.desktop.station.SheetModel} decides for all stations alike what the buttons do, {@link
 * zebrawood.desktop.station.EntryRecorder} keeps drafts and makes entries, with what paper shows of
 * them.
 *
 * <p>No class here, and no model of a station, knows a node or a window: they are tested without
 * one. What draws them is {@code zebrawood.desktop.sheet}.
 */
package zebrawood.desktop.station;
