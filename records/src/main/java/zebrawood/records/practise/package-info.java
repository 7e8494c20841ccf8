/**
 * What came of a case that was practised, on paper for trainer and trainee. Nothing is recorded.
 */
package zebrawood.records.practise;
