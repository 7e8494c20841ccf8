/**
 * A long piece that is passed through in sections: how far does a feed really go, what is to be
 * commanded, and what will the joints be off by?
 */
package zebrawood.feed;
