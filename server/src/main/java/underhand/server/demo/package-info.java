/** The demo book: invented songs of an invented canal-boat supper club. */
package underhand.server.demo;
